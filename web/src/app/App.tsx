import { lazy, Suspense } from 'react';
import { Navigate, Route, Routes } from 'react-router-dom';
import { SignInPage } from '../access/SignInPage';
import { Alarms } from '../days/Alarms';
import { ShelfPage } from '../shelf/ShelfPage';
import { Boundary } from '../ui/Boundary';
import { Failed } from './Failed';

// what is not opened first is fetched when it is
const BenchPage = lazy(async () => ({ default: (await import('../days/BenchPage')).BenchPage }));
const ExercisesPage = lazy(async () => ({
  default: (await import('../exercise/ExercisesPage')).ExercisesPage,
}));
const HelpPage = lazy(async () => ({ default: (await import('../help/HelpPage')).HelpPage }));
const JobPage = lazy(async () => ({ default: (await import('../job/JobPage')).JobPage }));
const MixPage = lazy(async () => ({ default: (await import('../rubber/MixPage')).MixPage }));
const MonthsPage = lazy(async () => ({ default: (await import('../days/MonthsPage')).MonthsPage }));
const MouldPage = lazy(async () => ({ default: (await import('../mould/MouldPage')).MouldPage }));
const MouldsPage = lazy(async () => ({
  default: (await import('../mould/MouldsPage')).MouldsPage,
}));
const ProposalPage = lazy(async () => ({
  default: (await import('../job/proposal/ProposalPage')).ProposalPage,
}));
const RubberPage = lazy(async () => ({
  default: (await import('../rubber/RubberPage')).RubberPage,
}));
const RunPage = lazy(async () => ({ default: (await import('../run/RunPage')).RunPage }));
const ShoppingPage = lazy(async () => ({
  default: (await import('../rubber/ShoppingPage')).ShoppingPage,
}));
const TogetherPage = lazy(async () => ({
  default: (await import('../rubber/TogetherPage')).TogetherPage,
}));
const WorkshopPage = lazy(async () => ({
  default: (await import('../workshop/WorkshopPage')).WorkshopPage,
}));

export function App() {
  return (
    <>
      <Failed />
      <Alarms />
      <Boundary what="This page">
        <Suspense fallback={<p className="fetching">Fetching the page …</p>}>
          <Routes>
            <Route path="/" element={<ShelfPage />} />
            <Route path="/jobs/:id" element={<Navigate to="master" replace />} />
            <Route path="/jobs/:id/proposal" element={<ProposalPage />} />
            <Route path="/jobs/:id/:stage" element={<JobPage />} />
            <Route path="/runs/:id" element={<RunPage />} />
            <Route path="/days" element={<BenchPage />} />
            <Route path="/rubber" element={<RubberPage />} />
            <Route path="/rubber/:product" element={<RubberPage />} />
            <Route path="/shopping" element={<ShoppingPage />} />
            <Route path="/together" element={<TogetherPage />} />
            <Route path="/months" element={<MonthsPage />} />
            <Route path="/moulds" element={<MouldsPage />} />
            <Route path="/moulds/:code" element={<MouldPage />} />
            <Route path="/mix" element={<MixPage />} />
            <Route path="/workshop" element={<WorkshopPage />} />
            <Route path="/exercises" element={<ExercisesPage />} />
            <Route path="/help" element={<HelpPage />} />
            <Route path="/sign-in" element={<SignInPage />} />
            <Route path="*" element={<Navigate to="/" replace />} />
          </Routes>
        </Suspense>
      </Boundary>
    </>
  );
}
