import { page } from './page';

export const FirstPage = page(() => import('../features/first/FirstPage'));
export const BowPage = page(() => import('../features/bow/BowPage'));
export const BowStop = page(() => import('./BowStop'));
export const ArrowPage = page(() => import('../features/arrow/ArrowPage'));
export const DozenPage = page(() => import('../features/dozen/DozenPage'));
export const PaperPage = page(() => import('../features/paper/PaperPage'));
export const FlightPage = page(() => import('../features/flight/FlightPage'));
export const CataloguePage = page(() => import('../features/catalogue/CataloguePage'));
export const RangeDayPage = page(() => import('../features/start/RangeDayPage'));
export const CopiesPage = page(() => import('../features/copies/CopiesPage'));
export const GlossaryPage = page(() => import('../features/glossary/GlossaryPage'));
export const PartsPage = import.meta.env.DEV ? page(() => import('../parts/sheet/PartsPage')) : null;
export const VisitPage = page(() => import('../features/visits/VisitPage'));
export const VisitsPage = page(() => import('../features/visits/VisitsPage'));
export const GuidePage = page(() => import('../features/guide/GuidePage'));
export const PlanPage = page(() => import('../features/plan/PlanPage'));
export const StoryPage = page(() => import('../features/story/StoryPage'));
