import type { Millimetres } from '../base/length';
import { groundOfCard } from '../materials/card/card';
import { type Hex, hexOfLab } from '../materials/colour/hex';
import { type Lab, type LinearRgb, labOfSpectrum, labOfXyz, xyzOfLinearRgb } from '../materials/colour/lab';
import { type ColourName, nameColour } from '../materials/colour/names';
import type { Spectrum } from '../materials/colour/spectrum';
import { type Ink, isBare } from '../materials/ink/ink';
import type { Inside } from '../recipe/passes/effects';
import type { ResolvedRecipe } from '../recipe/resolved';
import { compileLayers, type LayerProgram } from './layers';
import { lightOf, reflectanceOf, type Wetness } from './mixing';
import { finished, type Progress } from './progress';
import { countLayers, type LayerStack, stackHasher } from './stack';

/** Asks a panel what lies at its points and which colour that is, dried or wet, after some of the work. */
export interface PanelProbe {
  readonly program: LayerProgram;
  /**
   * What lies at a point. The stack is used again at the next question.
   *
   * @param inside  on which side of each border it counts as lying; where it really lies when left out
   */
  readonly stackAt: (x: Millimetres, y: Millimetres, inside?: Inside) => LayerStack;
  readonly lightAt: (x: Millimetres, y: Millimetres, inside?: Inside) => LinearRgb;
  readonly labAt: (x: Millimetres, y: Millimetres) => Lab;
  /** Dried, whatever the wetness asked for. */
  readonly reflectanceOf: (stack: LayerStack) => Spectrum;
}

/** So many colours a probe remembers. */
const MOST_KNOWN = 20_000;

/** @param progress  how far the work has come; the finished panel where left out */
export function probePanel(
  resolved: ResolvedRecipe,
  { progress = finished(resolved.recipe), wetness = 'dry' }: { progress?: Progress; wetness?: Wetness } = {},
): PanelProbe {
  const program = compileLayers(resolved, progress);
  const ground = groundOfCard(resolved.card);
  const light = lightOf(program.palette, ground, wetness);
  const stack = program.stack();
  const stackAt = (
    x: Millimetres,
    y: Millimetres,
    inside: Inside = (border) => (program.borders[border]?.(x, y) ?? 0) > 0,
  ): LayerStack => {
    program.layAt(x, y, inside, stack);
    return stack;
  };
  const hash = stackHasher();
  // Where one ink is solid, and along level bands, the same lies at many points.
  const known = new Map<number, LinearRgb>();
  const lightAt = (x: Millimetres, y: Millimetres, inside?: Inside): LinearRgb => {
    const here = hash(stackAt(x, y, inside));
    const found = known.get(here) ?? light(stack);
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(here, found);
    return found;
  };
  return {
    program,
    stackAt,
    lightAt,
    labAt: (x, y) => labOfXyz(xyzOfLinearRgb(lightAt(x, y))),
    reflectanceOf: reflectanceOf(program.palette, ground),
  };
}

/** What lies at one point of the dried panel. */
export interface Sample {
  readonly lab: Lab;
  readonly hex: Hex;
  readonly colour: ColourName;
  /** The inks there, most first, in parts of a coat; those under a hundredth are left out. */
  readonly inks: readonly { readonly ink: Ink; readonly coats: number }[];
}

/** Less of an ink than this, in coats, is not worth telling. */
const TRACE = 0.01;

/** Reads points of the dried panel, x and y in mm from its top left corner. */
export function panelSampler(resolved: ResolvedRecipe): (x: Millimetres, y: Millimetres) => Sample {
  const probe = probePanel(resolved);
  return (x, y) => {
    const stack = probe.stackAt(x, y);
    const lab = labOfSpectrum(probe.reflectanceOf(stack));
    return { lab, hex: hexOfLab(lab), colour: nameColour(lab), inks: inksIn(stack, probe.program.palette) };
  };
}

/** Every ink of a stack with the coats of it in all layers together. */
function inksIn(stack: LayerStack, palette: readonly Ink[]): Sample['inks'] {
  const laid = new Map<string, { ink: Ink; coats: number }>();
  palette.forEach((ink, i) => {
    let coats = laid.get(ink.id)?.coats ?? 0;
    for (let layer = 0; layer < countLayers(stack); layer++)
      coats += stack.amounts[layer * stack.inks + i] as number;
    laid.set(ink.id, { ink, coats });
  });
  return [...laid.values()]
    .filter(({ ink, coats }) => coats >= TRACE && !isBare(ink))
    .toSorted((p, q) => q.coats - p.coats);
}
