export { PersonMenu } from './PersonMenu';
export { SignInPage } from './SignInPage';
