import { SignInScreen } from '../shell/SignInScreen';

export default SignInScreen;
