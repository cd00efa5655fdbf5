import { takenKind } from '../taken';

export const photo = takenKind('photo', {
  label: 'Photograph',
  minutes: 3,
  one: 'a photograph',
  many: 'photographs',
});
