export { useFieldForm as ahead } from '../../form/useFieldForm.ts';
