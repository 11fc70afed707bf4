export { EnterScreen } from './enter-screen';
export { sayRefusal, spaceCode } from './say';
export { TrustSteps } from './trust-steps';
export { useAccess, useLeave } from './access-api';
