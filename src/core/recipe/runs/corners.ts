import { definePatchRun, type PatchPlace } from './definition';

/** Which rung lies in the top left, top right, bottom right and bottom left corner, and in the middle, by their count. */
const LAID_OUT: Readonly<Record<number, readonly number[]>> = {
  2: [0, 1, 0, 1],
  3: [0, 1, 2, 1],
  4: [0, 1, 2, 3],
  5: [0, 1, 2, 3, 4],
};

/** Each corner its ink; with three inks the middle one takes two corners, a fifth lies in the middle. */
export const corners = definePatchRun({
  id: 'corners',
  label: 'Corners',
  phrase: 'run from the corners',
  description: 'A different ink in each corner, meeting in the middle.',
  params: {
    soft: {
      label: 'Joints',
      unit: 'mm',
      min: 2,
      max: 120,
      step: 1,
      initial: ({ width }) => Math.round(width * 0.45),
    },
  },
  layOn: ({ width, height }, { soft }, rungs) => {
    const places = [
      { x: 0, y: 0, name: 'the top left corner' },
      { x: width, y: 0, name: 'the top right corner' },
      { x: width, y: height, name: 'the bottom right corner' },
      { x: 0, y: height, name: 'the bottom left corner' },
      { x: width / 2, y: height / 2, name: 'the middle', turning: 'Turn the panel as you go round.' },
    ];
    return {
      places: (LAID_OUT[rungs] ?? []).flatMap((rung, i): readonly PatchPlace[] => {
        const place = places[i];
        return place ? [{ ...place, rung }] : [];
      }),
      soft,
      turning: 'Turn the panel so that the corner in hand comes to your working hand.',
    };
  },
});
