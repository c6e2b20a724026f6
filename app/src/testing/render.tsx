import { render } from '@testing-library/react-native';
import type { ReactElement } from 'react';
import { Provider } from 'react-redux';
import type { AppStore } from '../store/store';
import { makeStore } from '../store/store';
import { ThemeProvider } from '../ui/ThemeProvider';
import { UnitsFromStore } from '../shell/UnitsFromStore';

/** Renders a component with store and theme around it. */
export function renderInApp(element: ReactElement, store: AppStore = makeStore()) {
  return {
    store,
    ...render(
      <Provider store={store}>
        <UnitsFromStore>
          <ThemeProvider night={false}>{element}</ThemeProvider>
        </UnitsFromStore>
      </Provider>,
    ),
  };
}
