import { configureStore, createSlice } from '@reduxjs/toolkit';
import { Slot } from 'expo-router';
import { PaperProvider } from 'react-native-paper';
import { Provider } from 'react-redux';

const count = createSlice({
  name: 'count',
  initialState: 0,
  reducers: { up: (state) => state + 1 },
});
const store = configureStore({ reducer: { count: count.reducer } });

/** The least an Expo Router app with Paper and Redux can be. */
export default function Layout() {
  return (
    <Provider store={store}>
      <PaperProvider>
        <Slot />
      </PaperProvider>
    </Provider>
  );
}
