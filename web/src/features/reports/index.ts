export { ReportsPage } from './ReportsPage';
export { MyFigures } from './MyFigures';
