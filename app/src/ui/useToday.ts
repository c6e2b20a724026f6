import { useEffect, useState } from 'react';
import { AppState } from 'react-native';
import { dayAt } from './days';

/** Now, as far as the calendar goes: looked at anew when the app comes to the front, as on the morning after. */
export function useToday(): Date {
  const [today, setToday] = useState(() => new Date());
  useEffect(() => {
    const look = (): void => {
      const now = new Date();
      setToday((before) => (dayAt(before) === dayAt(now) ? before : now));
    };
    const watch = AppState.addEventListener('change', look);
    return () => watch.remove();
  }, []);
  return today;
}
