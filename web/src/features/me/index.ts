export { Me } from './Me';
export { PlanOf } from './PlanOf';
