import { render } from '@testing-library/react-native';
import type { ReactElement } from 'react';
import { Provider } from 'react-redux';
import type { AppStore } from '../store/store';
import { makeStore } from '../store/store';
import { ThemeProvider } from '../ui/ThemeProvider';

/** Renders a component with store and theme around it. */
export function renderInApp(element: ReactElement, store: AppStore = makeStore()) {
  return {
    store,
    ...render(
      <Provider store={store}>
        <ThemeProvider night={false}>{element}</ThemeProvider>
      </Provider>,
    ),
  };
}
