import { lazy, Suspense } from 'react';
import { Route, Routes } from 'react-router';
import { StartPage } from '../features/start/StartPage';

const BowPage = lazy(() => import('../features/bow/BowPage'));
const ArrowPage = lazy(() => import('../features/arrow/ArrowPage'));
const PaperPage = lazy(() => import('../features/paper/PaperPage'));
const LaterPage = lazy(() => import('../features/later/LaterPage'));

export function App() {
  return (
    <Suspense fallback={<div className="page" />}>
      <Routes>
        <Route path="/" element={<StartPage />} />
        <Route path="/bows/new" element={<BowPage />} />
        <Route path="/bows/:bowId/bow" element={<BowPage />} />
        <Route path="/bows/:bowId/arrow" element={<ArrowPage />} />
        <Route path="/bows/:bowId/paper" element={<PaperPage />} />
        <Route path="/bows/:bowId/:stop" element={<LaterPage />} />
        <Route path="*" element={<StartPage />} />
      </Routes>
    </Suspense>
  );
}
