export { EnterScreen } from './enter-screen';
export { TrustSteps } from './trust-steps';
export { useAccess, useLeave } from './access-api';
