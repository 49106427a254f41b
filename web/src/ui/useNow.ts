import { useEffect, useState } from 'react';
import { nowLocal } from '../field/clock';

/** Now, by the clock in force, looked at again every half minute. */
export function useNow(): string {
  const [now, setNow] = useState(nowLocal);
  useEffect(() => {
    const timer = setInterval(() => setNow(nowLocal()), 30_000);
    return () => clearInterval(timer);
  }, []);
  return now;
}
