import { useEffect, useState } from 'react';
import { nowLocal } from '../field/clock';

/** Now, by the clock in force, looked at again every half minute or as often as is asked. */
export function useNow(everyMs = 30_000): string {
  const [now, setNow] = useState(nowLocal);
  useEffect(() => {
    const timer = setInterval(() => setNow(nowLocal()), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return now;
}
