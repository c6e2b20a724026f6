/** Jest's five seconds are too short on a busy machine: a test that hangs is ended after this, a slow one is not. */
jest.setTimeout(60_000);
