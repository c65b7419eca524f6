export { PageHead } from './PageHead';
export { PersonMenu } from './PersonMenu';
export { SignInPage } from './SignInPage';
export { sessionQuery } from './queries';
