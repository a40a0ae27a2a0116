import { array, boolean, object } from 'yup';
import type { Design } from '../materials/design/design';
import type { Ink } from '../materials/ink/ink';
import { inkSuits } from '../recipe/passes/definition';
import { PASS_KIND_IDS, PASS_KINDS, PASS_LIMITS, type Pass, placementsOf } from '../recipe/passes/passes';
import type { Fault } from './fileError';
import { id, oneOf, paramFaults, unknownField, values } from './schemaParts';

/** A pass as it stands in files. */
export const passSchema = object({
  id: id(),
  kind: oneOf(PASS_KIND_IDS),
  enabled: boolean().strict().required(),
  designId: id().optional(),
  placements: array()
    .strict()
    .required()
    .min(1, 'must have at least one placement')
    .max(PASS_LIMITS.placements)
    .of(object({ id: id(), inkId: id().optional(), params: values() }).noUnknown(unknownField).required()),
}).noUnknown(unknownField);

/** What is wrong with passes that have the right shape. */
export function passFaults(
  passes: readonly Pass[],
  inks: ReadonlyMap<string, Ink>,
  designs: readonly Design[],
): Fault[] {
  const faults = passes.flatMap((pass, i) => faultsOfPass(pass, `recipe.passes[${i}]`, inks, designs));
  if (new Set(passes.map((pass) => pass.id)).size < passes.length)
    faults.push({ place: 'recipe.passes', problem: 'has two passes with one id' });
  passes.forEach(({ placements }, i) => {
    if (new Set(placements.map(({ id }) => id)).size < placements.length)
      faults.push({ place: `recipe.passes[${i}].placements`, problem: 'has two placements with one id' });
  });
  const placements = passes.reduce((sum, pass) => sum + pass.placements.length, 0);
  if (placements > PASS_LIMITS.placements)
    faults.push({
      place: 'recipe.passes',
      problem: `must have at most ${PASS_LIMITS.placements} placements in all (there are ${placements})`,
    });
  const stages = passes.map(({ kind }) => PASS_KINDS[kind].stage);
  if (stages.lastIndexOf('under') > stages.indexOf('over') && stages.includes('over'))
    faults.push({
      place: 'recipe.passes',
      problem: 'must have what lies under the blend before what lies over it',
    });
  return faults;
}

function faultsOfPass(
  pass: Pass,
  place: string,
  inks: ReadonlyMap<string, Ink>,
  designs: readonly Design[],
): Fault[] {
  const { designId } = pass;
  const placements = placementsOf(pass);
  const kind = PASS_KINDS[pass.kind];
  const faults: Fault[] = [];
  if (designId !== undefined && !kind.design)
    faults.push({ place: `${place}.designId`, problem: `${kind.label} takes no design` });
  if (designId !== undefined && !designs.some((design) => design.id === designId))
    faults.push({ place: `${place}.designId`, problem: `no design "${designId}" is in the file` });
  if (designId === undefined && kind.design && !kind.design.optional)
    faults.push({ place: `${place}.designId`, problem: `${kind.label} needs a design` });
  if (placements.length > kind.placements.max)
    faults.push({
      place: `${place}.placements`,
      problem: `${kind.label} has at most ${kind.placements.max} (there are ${placements.length})`,
    });
  placements.forEach(({ inkId, params }, i) => {
    const at = `${place}.placements[${i}]`;
    faults.push(...paramFaults(`${at}.params`, kind.params, params));
    if (!kind.ink) {
      if (inkId !== undefined) faults.push({ place: `${at}.inkId`, problem: `${kind.label} takes no ink` });
      return;
    }
    const ink = inkId === undefined ? undefined : inks.get(inkId);
    if (!ink) faults.push({ place: `${at}.inkId`, problem: `no ink "${inkId}" is in the file` });
    else if (!inkSuits(kind.ink, ink))
      faults.push({
        place: `${at}.inkId`,
        problem: `${ink.name} cannot be laid as ${kind.label.toLowerCase()}`,
      });
  });
  return faults;
}
