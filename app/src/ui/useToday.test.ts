import { act, renderHook } from '@testing-library/react-native';
import { AppState } from 'react-native';
import { useToday } from './useToday';

afterEach(() => {
  jest.useRealTimers();
  jest.restoreAllMocks();
});

it('is looked at anew when the app comes to the front, and stays the same for the day', async () => {
  jest.useFakeTimers({ now: new Date(2026, 10, 30, 8) });
  const watched: (() => void)[] = [];
  const remove = jest.fn();
  jest.spyOn(AppState, 'addEventListener').mockImplementation((_event, look) => {
    watched.push(() => look('active'));
    return { remove };
  });
  const hook = await renderHook(() => useToday());
  const morning = hook.result.current;
  expect(morning.getDate()).toBe(30);
  jest.setSystemTime(new Date(2026, 10, 30, 17));
  await act(async () => watched.forEach((look) => look()));
  expect(hook.result.current).toBe(morning);
  jest.setSystemTime(new Date(2026, 11, 1, 7));
  await act(async () => watched.forEach((look) => look()));
  expect(hook.result.current.getDate()).toBe(1);
  await hook.unmount();
  expect(remove).toHaveBeenCalledTimes(1);
});
