import { Link } from '@tanstack/react-router';
import { useState } from 'react';
import { ROLES } from './roles';
import { signOut, useSession } from './session';

/** Who uses this device, and the way out. */
export function SignedIn() {
  const { known } = useSession();
  const [problem, setProblem] = useState('');
  if (!known) {
    return null;
  }
  return (
    <div className="mb-4 border-rule border-b pb-3">
      <p>
        <b>{known.name}</b>
        <span className="block text-dim text-sm">{[...new Set(known.grants.map((g) => ROLES[g.role].name))].join(', ')}</span>
      </p>
      {problem && (
        <p role="alert" className="mt-1 text-sm">
          {problem}
        </p>
      )}
      <Link to="/account" className="act-quiet mr-4 inline-flex">
        Your account
      </Link>
      <button
        type="button"
        className="act-quiet"
        onClick={() => signOut().catch(() => setProblem('Signing out needs a signal. What is on this device stays as it is.'))}
      >
        Sign out on this device
      </button>
    </div>
  );
}
