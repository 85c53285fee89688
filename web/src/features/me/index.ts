export { Me } from './Me';
export { PlanForm } from './PlanForm';
