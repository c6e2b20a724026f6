import { cleanup, render } from '@testing-library/react-native';
import type { ReactElement } from 'react';
import { Provider } from 'react-redux';
import { api } from '../store/api';
import type { AppStore } from '../store/store';
import { makeStore } from '../store/store';
import { ThemeProvider } from '../ui/ThemeProvider';
import { UnitsFromStore } from '../shell/UnitsFromStore';

const stores: AppStore[] = [];
afterEach(() => {
  cleanup();
  for (const store of stores.splice(0)) store.dispatch(api.util.resetApiState());
});

/** Has a store forget after the test what the server said: it is kept for a minute, by a timer that would outlive the test. */
export function forgotten(store: AppStore): AppStore {
  stores.push(store);
  return store;
}

/** Renders a component with store and theme around it. */
export function renderInApp(element: ReactElement, store: AppStore = makeStore()) {
  return {
    store: forgotten(store),
    ...render(
      <Provider store={store}>
        <UnitsFromStore>
          <ThemeProvider night={false}>{element}</ThemeProvider>
        </UnitsFromStore>
      </Provider>,
    ),
  };
}
