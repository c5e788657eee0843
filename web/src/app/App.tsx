import { Navigate, Route, Routes } from 'react-router-dom';
import { SignInPage } from '../access/SignInPage';
import { HelpPage } from '../help/HelpPage';
import { JobPage } from '../job/JobPage';
import { ProposalPage } from '../job/proposal/ProposalPage';
import { MixPage } from '../rubber/MixPage';
import { RubberPage } from '../rubber/RubberPage';
import { ShoppingPage } from '../rubber/ShoppingPage';
import { TogetherPage } from '../rubber/TogetherPage';
import { ShelfPage } from '../shelf/ShelfPage';
import { Boundary } from '../ui/Boundary';
import { WorkshopPage } from '../workshop/WorkshopPage';
import { Failed } from './Failed';

export function App() {
  return (
    <>
      <Failed />
      <Boundary what="This page">
        <Routes>
          <Route path="/" element={<ShelfPage />} />
          <Route path="/jobs/:id" element={<Navigate to="master" replace />} />
          <Route path="/jobs/:id/proposal" element={<ProposalPage />} />
          <Route path="/jobs/:id/:stage" element={<JobPage />} />
          <Route path="/rubber" element={<RubberPage />} />
          <Route path="/rubber/:product" element={<RubberPage />} />
          <Route path="/shopping" element={<ShoppingPage />} />
          <Route path="/together" element={<TogetherPage />} />
          <Route path="/mix" element={<MixPage />} />
          <Route path="/workshop" element={<WorkshopPage />} />
          <Route path="/help" element={<HelpPage />} />
          <Route path="/sign-in" element={<SignInPage />} />
          <Route path="*" element={<Navigate to="/" replace />} />
        </Routes>
      </Boundary>
    </>
  );
}
