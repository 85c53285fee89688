export { LaterDialog, type OnPaper } from './LaterDialog';
export { PlannedHere } from './PlannedHere';
export { PlannedPlace } from './PlannedPlace';
export { allPlannedQuery } from './queries';
