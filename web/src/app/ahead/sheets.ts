export { Sheet as ahead } from '../../ui/Sheet.tsx';
