import { useEffect, useState } from 'react';
import { Problem } from '../api/client';
import { Notice } from '../ui/Notice';

/** Says when something that was asked for was not done, wherever nothing else says so. */
export function Failed() {
  const [problem, setProblem] = useState<Problem | null>(null);
  useEffect(() => {
    const onRejected = (e: PromiseRejectionEvent) => {
      if (e.reason instanceof Problem) {
        e.preventDefault();
        setProblem(e.reason);
      }
    };
    window.addEventListener('unhandledrejection', onRejected);
    return () => window.removeEventListener('unhandledrejection', onRejected);
  }, []);
  return (
    problem && (
      <div className="failed">
        <Notice title={problem.title} text={problem.message} close={() => setProblem(null)} />
      </div>
    )
  );
}
