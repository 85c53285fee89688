export { ChangePassword } from './ChangePassword';
export { SignIn } from './SignIn';
