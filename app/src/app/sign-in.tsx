import { SignInScreen } from '../features/session/SignInScreen';

export default SignInScreen;
