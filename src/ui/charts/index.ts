export { useChart } from './use-chart';
