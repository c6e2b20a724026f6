import { endBrowsers } from './browserPool';

// A browser takes its time; a test that hangs is ended here.
jest.setTimeout(240_000);
afterAll(() => endBrowsers());
