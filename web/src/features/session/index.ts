export { ChangePassword } from './ChangePassword';
export { Invitation } from './Invitation';
export { SignIn } from './SignIn';
export { tellEnded, useOnePerson } from './useOnePerson';
