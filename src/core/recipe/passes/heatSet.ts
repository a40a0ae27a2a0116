import { definePass } from './definition';
import { DRY } from './effects';

/** Drying with the heat tool: what follows lies on the blend instead of mixing into it. */
export const heatSet = definePass({
  id: 'heatSet',
  label: 'Heat set',
  description: 'Dries what is wet: what follows lies on it instead of mixing into it.',
  stage: 'over',
  placements: { max: 1, noun: 'heat set' },
  params: {},
  needsDry: false,
  sets: true,
  layOn: () => ({ borders: [], effects: [DRY], traces: [] }),
  steps: () => [
    {
      title: 'Heat set',
      work: 'Heat tool over the face, then the back, moving all the time, until no place shines.',
      care: ['Let it cool before the next ink. Air keeps more colour.'],
      minutes: 1.5,
      waits: 'heat',
      needs: ['heat tool'],
      dangers: ['heat'],
    },
  ],
});
