export { BackLink, TodayLink } from './back-link';
export { NotFoundScreen } from './not-found-screen';
export { PieceScreen, Skeleton, Unreachable, useRouteParam, type PieceParts } from './piece-screen';
export { RoomMissing, RoomOpening } from './room-states';
export { MainAction, Screen } from './screen';
export { ShopHeader } from './shop-header';
export { FindingsTabs } from './findings-tabs';
export { WaysOn } from './late';
export { HelpButton } from './help-button';
