import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Outlet, Route, Routes, useLocation, useParams, useSearchParams } from 'react-router';
import { isMissing } from '../api/client';
import { readIsOld } from '../api/newQueries';
import { onSent } from '../api/outbox';
import { useBow } from '../api/queries';
import { UnitsProvider } from '../units/UnitsContext';
import { EscapeKeeper, FocusKeeper } from '../shell/focus';
import { NoSuchBow } from '../shell/OpeningPage';
import {
  ArrowPage,
  BowPage,
  BowStop,
  CataloguePage,
  CopiesPage,
  DozenPage,
  FlightPage,
  GlossaryPage,
  GuidePage,
  PaperPage,
  PartsPage,
  PlanPage,
  RangeDayPage,
  StoryPage,
  VisitPage,
  VisitsPage,
} from './pages';
import { Start } from './Start';

export function App() {
  useEffect(readIsOld, []);
  return (
    <>
      <FocusKeeper />
      <EscapeKeeper />
      <OutboxKeeper />
      <Routes>
        <Route path="/" element={<Start />} />
        <Route path="/bows/new" element={<BowPage />} />
        <Route path="/catalogue" element={<CataloguePage />} />
        <Route path="/range-day" element={<RangeDayPage />} />
        <Route path="/copies" element={<CopiesPage />} />
        <Route path="/plan" element={<PlanPage />} />
        <Route path="/guide" element={<GuidePage />} />
        <Route path="/visits" element={<VisitsPage />} />
        <Route path="/glossary" element={<GlossaryPage />} />
        <Route path="/bows/:bowId" element={<OfBow />}>
          <Route path="bow" element={<BowStop />} />
          <Route path="arrow" element={<ArrowPage />} />
          <Route path="dozen" element={<DozenPage />} />
          <Route path="paper" element={<PaperPage key="paper" at="paper" />} />
          <Route path="groups" element={<GroupsStop />} />
          <Route path="story" element={<StoryPage />} />
          <Route path="visit" element={<VisitPage />} />
          <Route path="*" element={<Start />} />
        </Route>
        {PartsPage && <Route path="/parts" element={<PartsPage />} />}
        <Route path="*" element={<Start />} />
      </Routes>
    </>
  );
}

/** The Groups stop: what is shot at a target, or how far it is honest. */
const GroupsStop = () =>
  useSearchParams()[0].get('way') === 'range' ? <FlightPage /> : <PaperPage key="groups" at="groups" />;

/** What was sent late changes what is shown. */
function OutboxKeeper() {
  const queries = useQueryClient();
  useEffect(() => {
    const readAnew = () => void queries.invalidateQueries();
    // On a first visit what was read before the worker was there is read once more, so that it is kept.
    navigator.serviceWorker?.addEventListener('controllerchange', readAnew);
    const hearNoMore = onSent(readAnew);
    return () => {
      hearNoMore();
      navigator.serviceWorker?.removeEventListener('controllerchange', readAnew);
    };
  }, [queries]);
  return null;
}

/** Everything below a bow is shown in its archer's units; of one that is not on the rack nothing can be opened. */
function OfBow() {
  const bowId = useParams().bowId;
  const bow = useBow(bowId);
  const stop = useLocation().pathname.split('/')[3];
  if (isMissing(bow.error)) return <NoSuchBow bowId={bowId} stop={stop} />;
  return (
    <UnitsProvider units={bow.data?.units}>
      <Outlet />
    </UnitsProvider>
  );
}
