import { useEffect, useState } from 'react';

/** What is half typed survives a phone that is put away, or killed: it is kept on this device until it is written. */
export function useDraft<Draft>(key: string, empty: Draft): [Draft, (draft: Draft) => void, () => void] {
  const [draft, setDraft] = useState<Draft>(() => read(key) ?? empty);
  useEffect(() => {
    if (draft === empty) {
      localStorage.removeItem(key);
    } else {
      try {
        localStorage.setItem(key, JSON.stringify(draft));
      } catch {
        // A full device still works; only the half-typed row is not kept.
      }
    }
  }, [key, draft, empty]);
  return [draft, setDraft, () => setDraft(empty)];
}

function read<Draft>(key: string): Draft | undefined {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null') ?? undefined;
  } catch {
    return undefined;
  }
}
