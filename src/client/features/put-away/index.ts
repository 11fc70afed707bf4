export { PutAwayCard } from './put-away-card';
export { PutAwayScreen } from './put-away-screen';
