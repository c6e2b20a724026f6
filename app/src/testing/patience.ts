import { configure } from '@testing-library/react-native';

/** A second is too short for what waits, on a busy machine: what never comes is still found out. */
configure({ asyncUtilTimeout: 20_000 });
