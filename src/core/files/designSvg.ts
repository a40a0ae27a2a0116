import { parseXml, XmlElement, XmlError } from '@rgrove/parse-xml';
import { parse as parseColour } from 'culori';
import svgPath from 'svgpath';
import { MM_AN_INCH } from '../base/length';
import { DESIGN_LIMITS, type Design, isTooBusy, type Shape, scaleDesign } from '../materials/design/design';
import { DESIGNS_LIMIT } from './designSchema';
import { FileError } from './fileError';

/** What a drawing may hold at the most. */
export const SVG_LIMITS = { letters: 2_000_000, elements: 6000, depth: 40 } as const;

/** A design read from a file, with what of the file was left out. */
export interface ReadDesign {
  readonly design: Design;
  /** Names of what was not read, each once: "text", "image". */
  readonly leftOut: readonly string[];
}

const refuse = (problem: string, place = ''): never => {
  throw new FileError([{ place, problem }]);
};

/**
 * Refuses a drawing that is too large, that brings entities of its own, or that is no well-formed XML. What stands in it
 * is not looked at yet.
 *
 * @throws FileError saying what, where and what to do
 */
export function checkSvg(text: string): void {
  if (text.length > SVG_LIMITS.letters)
    refuse(
      `The drawing has ${(text.length / 1e6).toFixed(1)} million letters; at most ${SVG_LIMITS.letters / 1e6} million are read. Simplify its paths first.`,
    );
  if (/<!ENTITY/i.test(text))
    refuse('The drawing defines entities of its own, which are never read. Export it as plain SVG.');
  const elements = text.split('<').length - 1;
  if (elements > 2 * SVG_LIMITS.elements)
    refuse(`The drawing has more than ${SVG_LIMITS.elements} elements. Join its paths, and export it again.`);
  rootOf(text);
}

function rootOf(text: string): XmlElement {
  let root: XmlElement | null;
  try {
    ({ root } = parseXml(text, { ignoreUndefinedEntities: true }));
  } catch (error) {
    // The parser goes down an element at a time, until there is no more room to.
    if (error instanceof RangeError) return refuse(TOO_DEEP);
    if (!(error instanceof XmlError)) throw error;
    const [first = ''] = error.message.split('\n');
    return refuse(`The file is not well-formed SVG: ${first}. Export it again.`, `line ${error.line}`);
  }
  if (root?.name !== 'svg') return refuse('The file is XML, but not an SVG drawing. Choose an SVG or a PNG.');
  return root;
}

/** What shapes inherit from what they stand in. */
interface Style {
  readonly matrix: string;
  readonly fill: string;
  readonly stroke: string;
  readonly strokeWidth: number;
  readonly rule: Shape['rule'];
  readonly hidden: boolean;
}

const START: Style = {
  matrix: '',
  fill: '#000',
  stroke: 'none',
  strokeWidth: 1,
  rule: 'nonzero',
  hidden: false,
};

/** Things that draw nothing by themselves, and need not be told when they are left out. */
const SILENT = ['title', 'desc', 'metadata', 'defs', 'symbol', 'clipPath', 'mask', 'sodipodi:namedview'];
/** What would hide a part of a shape, as the form tells it. */
const CUTS = [
  ['clip-path', 'clipping'],
  ['mask', 'a mask'],
] as const;
/** Things that only hold others. */
const GROUPS = ['g', 'svg', 'switch'];

/**
 * The shapes of an SVG drawing as a design in mm. Of the file nothing but geometry goes on: paths, circles, boxes,
 * polygons and lines, dark ones as what is cut or inked, pale ones as what is left open in it.
 *
 * @param text  a drawing that `checkSvg` lets through
 * @throws FileError when it holds no shape, or too much
 */
export function readDesignSvg(text: string, id: string, name: string): ReadDesign {
  const root = rootOf(text);
  const frame = frameOf(root);
  const named = namedIn(root);
  const shapes: Shape[] = [];
  const leftOut = new Set<string>();
  let elements = 0;
  let letters = 0;
  const walk = (element: XmlElement, style: Style, depth: number): void => {
    if (++elements > SVG_LIMITS.elements)
      refuse(
        `The drawing has more than ${SVG_LIMITS.elements} elements. Join its paths, and export it again.`,
      );
    if (depth > SVG_LIMITS.depth) refuse(TOO_DEEP);
    const own = styleOf(element, style);
    if (own.hidden) return;
    const said = saidBy(element);
    for (const [key, name] of CUTS) if ((said(key) ?? 'none') !== 'none') leftOut.add(name);
    const into = (group: XmlElement, inner: Style): void => {
      for (const child of group.children) if (child instanceof XmlElement) walk(child, inner, depth + 1);
    };
    const used = element.name === 'use' ? named.get(referenceOf(element)) : undefined;
    if (GROUPS.includes(element.name)) into(element, own);
    else if (used) {
      const placed = { ...own, matrix: `${own.matrix} ${placingOf(element, used, frame)}`.trim() };
      if (used.name === 'symbol') into(used, styleOf(used, placed));
      else walk(used, placed, depth + 1);
    } else {
      const d = pathOf(element);
      letters += d?.length ?? 0;
      // Told before they are gone through, which takes longer than to refuse them.
      if (letters > 1.5 * DESIGNS_LIMIT) refuse(TOO_LONG);
      if (d !== undefined) shapes.push(...shapesOf(d, own, frame, elements));
      else if (!SILENT.includes(element.name)) leftOut.add(element.name.replace(/^.*:/, ''));
    }
  };
  walk(root, START, 0);
  const drawn = shapes.filter(({ d }) => d !== '');
  if (!drawn.some(({ erases }) => !erases))
    refuse(
      `The drawing holds no dark shape${leftOut.size > 0 ? ` (it has ${[...leftOut].join(', ')}, which are not read)` : ''}. Turn lettering into paths, and fill what is to be cut or inked with black.`,
    );
  if (drawn.reduce((sum, { d }) => sum + d.length, 0) > DESIGNS_LIMIT) refuse(TOO_LONG);
  const { width, height } = frame;
  if (isTooBusy({ height, shapes: drawn }))
    refuse('The drawing’s lines go up and down too often to be measured. Simplify it, and export it again.');
  const design: Design = { id, name, use: 'image', width, height, shapes: drawn };
  const held = Math.min(Math.max(width, DESIGN_LIMITS.min), DESIGN_LIMITS.max);
  return { design: held === width ? design : scaleDesign(design, held), leftOut: [...leftOut] };
}

const TOO_DEEP = `The drawing’s groups are nested more than ${SVG_LIMITS.depth} deep. Ungroup them first.`;
const TOO_LONG = 'The drawing’s paths are too long to work with. Simplify them, and export it again.';

/** Every element that has an id, by it; of several the first. */
function namedIn(root: XmlElement): ReadonlyMap<string, XmlElement> {
  const named = new Map<string, XmlElement>();
  const waiting = [root];
  for (let element = waiting.pop(); element; element = waiting.pop()) {
    const { id } = element.attributes;
    if (id !== undefined && !named.has(id)) named.set(id, element);
    for (const child of element.children.toReversed()) if (child instanceof XmlElement) waiting.push(child);
  }
  return named;
}

/** The id of what a `use` stands for; of anything but this drawing it is none. */
function referenceOf({ attributes }: XmlElement): string {
  const reference = attributes.href ?? attributes['xlink:href'] ?? '';
  return reference.startsWith('#') ? reference.slice(1) : '';
}

/** Where a `use` puts what it stands for; a symbol's own box is fitted into the room given. Source: SVG 2, 5.5 and 8.2. */
function placingOf({ attributes }: XmlElement, used: XmlElement, { perUnit, width, height }: Frame): string {
  const number = (text: string | undefined, otherwise: number): number => {
    const value = Number.parseFloat(text ?? '');
    return Number.isFinite(value) ? value : otherwise;
  };
  const moved = `translate(${number(attributes.x, 0)} ${number(attributes.y, 0)})`;
  const box = boxOf(used);
  if (used.name !== 'symbol' || !box) return moved;
  const wide = number(attributes.width, width / perUnit);
  const high = number(attributes.height, height / perUnit);
  const scale = Math.min(wide / box.width, high / box.height);
  const [left, top] = [(wide - box.width * scale) / 2, (high - box.height * scale) / 2];
  return `${moved} translate(${left} ${top}) scale(${scale}) translate(${-box.x} ${-box.y})`;
}

/** An element's viewBox, where it has a proper one. */
function boxOf({ attributes }: XmlElement) {
  const [x, y, width, height] = (attributes.viewBox ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  return x !== undefined && y !== undefined && width && height && width > 0 && height > 0
    ? { x, y, width, height }
    : undefined;
}

/** The box of a drawing: from user units to mm from its top left corner. */
interface Frame {
  readonly x: number;
  readonly y: number;
  readonly perUnit: number;
  readonly width: number;
  readonly height: number;
}

/** Source: CSS Values and Units 3, 6.2: an inch is 96 px. */
const UNITS: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  in: MM_AN_INCH,
  pt: MM_AN_INCH / 72,
  pc: MM_AN_INCH / 6,
  px: MM_AN_INCH / 96,
  '': MM_AN_INCH / 96,
};

/** No length and no colour is longer; what is takes for ever to be matched. */
const LONGEST_VALUE = 80;

function lengthOf(text: string | undefined): number | undefined {
  if (text && text.length > LONGEST_VALUE) return undefined;
  const match = /^\s*(\d*\.?\d+(?:e[+-]?\d+)?)\s*([a-z]*)\s*$/i.exec(text ?? '');
  const unit = UNITS[match?.[2]?.toLowerCase() ?? ''];
  return match && unit !== undefined ? Number(match[1]) * unit : undefined;
}

function frameOf(root: XmlElement): Frame {
  const box = boxOf(root);
  const width = lengthOf(root.attributes.width);
  const height = lengthOf(root.attributes.height);
  if (box) {
    const perUnit =
      width !== undefined ? width / box.width : height !== undefined ? height / box.height : (UNITS.px ?? 1);
    if (Number.isFinite(perUnit) && perUnit > 0)
      return { x: box.x, y: box.y, perUnit, width: box.width * perUnit, height: box.height * perUnit };
  }
  if (width && height) return { x: 0, y: 0, perUnit: UNITS.px ?? 1, width, height };
  return refuse(
    'The drawing does not say how large it is: it needs a viewBox, or a width and a height.',
    'svg',
  );
}

/** What an element says of itself in its style, or else in an attribute. */
function saidBy({ attributes }: XmlElement): (key: string) => string | undefined {
  const inline = Object.fromEntries(
    (attributes.style ?? '').split(';').map((one) => {
      const at = one.indexOf(':');
      return [
        one.slice(0, at).trim(),
        one
          .slice(at + 1)
          .replace('!important', '')
          .trim(),
      ];
    }),
  );
  return (key) => inline[key] ?? attributes[key];
}

function styleOf(element: XmlElement, inherited: Style): Style {
  const said = saidBy(element);
  const width = lengthOf(said('stroke-width'));
  return {
    matrix: [inherited.matrix, element.attributes.transform ?? ''].join(' ').trim(),
    fill: said('fill') ?? inherited.fill,
    stroke: said('stroke') ?? inherited.stroke,
    // A bare number is in user units; `lengthOf` took it for pixels.
    strokeWidth: width === undefined ? inherited.strokeWidth : width / (UNITS.px ?? 1),
    rule: said('fill-rule') === 'evenodd' ? 'evenodd' : said('fill-rule') ? 'nonzero' : inherited.rule,
    hidden:
      said('display') === 'none' || said('visibility') === 'hidden' || Number(said('opacity') ?? 1) === 0,
  };
}

/** A basic shape as the path the SVG specification gives for it. Source: SVG 2, chapter 10. */
function pathOf({ name, attributes }: XmlElement): string | undefined {
  const number = (key: string, otherwise = 0): number => {
    const value = Number.parseFloat(attributes[key] ?? '');
    return Number.isFinite(value) ? value : otherwise;
  };
  switch (name) {
    case 'path':
      return attributes.d ?? '';
    case 'rect': {
      const [x, y, width, height] = [number('x'), number('y'), number('width'), number('height')];
      if (width <= 0 || height <= 0) return '';
      const rx = Math.min(number('rx', number('ry')), width / 2);
      const ry = Math.min(number('ry', number('rx')), height / 2);
      if (rx <= 0 || ry <= 0) return `M${x} ${y}h${width}v${height}h${-width}z`;
      const [across, down] = [width - 2 * rx, height - 2 * ry];
      const arc = (dx: number, dy: number) => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`;
      return `M${x + rx} ${y}h${across}${arc(rx, ry)}v${down}${arc(-rx, ry)}h${-across}${arc(-rx, -ry)}v${-down}${arc(rx, -ry)}z`;
    }
    case 'circle':
    case 'ellipse': {
      const [rx, ry] = name === 'circle' ? [number('r'), number('r')] : [number('rx'), number('ry')];
      if (rx <= 0 || ry <= 0) return '';
      return `M${number('cx') - rx} ${number('cy')}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0z`;
    }
    case 'line':
      return `M${number('x1')} ${number('y1')}L${number('x2')} ${number('y2')}`;
    case 'polyline':
    case 'polygon': {
      const points = (attributes.points ?? '')
        .trim()
        .split(/[\s,]+/)
        .map(Number);
      if (points.length < 4 || points.some((value) => !Number.isFinite(value))) return '';
      return `M${points.join(' ')}${name === 'polygon' ? 'z' : ''}`;
    }
    default:
      return undefined;
  }
}

/** A luminance above this counts as paper left open, below as what is cut or inked. */
const PALE_FROM = 0.55;

function paintOf(colour: string): 'none' | 'dark' | 'pale' {
  if (colour === 'none' || colour === 'transparent') return 'none';
  const parsed = colour.length > LONGEST_VALUE ? undefined : parseColour(colour);
  // A gradient or a pattern inks its shape; so does a colour nobody knows.
  if (parsed?.mode !== 'rgb') return 'dark';
  if (parsed.alpha === 0) return 'none';
  return 0.2126 * parsed.r + 0.7152 * parsed.g + 0.0722 * parsed.b > PALE_FROM ? 'pale' : 'dark';
}

/** What a path adds to a design: its filling, its line, or both. */
function shapesOf(d: string, style: Style, frame: Frame, element: number): Shape[] {
  const path = svgPath(d);
  // What stopped the parser; the package's types leave it out.
  const { err } = path as unknown as { readonly err: string };
  if (err)
    refuse(`A path cannot be read: ${err.slice(0, 80)}. Export the drawing again.`, `element ${element}`);
  const moved = path
    .abs()
    .transform(style.matrix)
    .translate(-frame.x, -frame.y)
    .scale(frame.perUnit)
    .round(3)
    .toString();
  if (/NaN|Infinity/.test(moved))
    refuse('A path or a transform holds no proper numbers.', `element ${element}`);
  const made: Shape[] = [];
  const fill = paintOf(style.fill);
  const stroke = style.strokeWidth > 0 ? paintOf(style.stroke) : 'none';
  const erasing = (paint: 'dark' | 'pale') => (paint === 'pale' ? { erases: true } : {});
  if (fill !== 'none') made.push({ d: moved, rule: style.rule, ...erasing(fill) });
  if (stroke !== 'none') {
    const width = style.strokeWidth * enlargedBy(style.matrix) * frame.perUnit;
    made.push({
      d: moved,
      rule: 'nonzero',
      stroke: Math.min(Math.round(width * 1000) / 1000, DESIGN_LIMITS.max),
      ...erasing(stroke),
    });
  }
  return made;
}

/** How much longer a transform makes things on average: the root of what it does to an area. */
function enlargedBy(matrix: string): number {
  const corners = [0, 0, 0, 0, 0, 0];
  svgPath('M0 0L1 0L0 1')
    .transform(matrix)
    .iterate((segment, i) => {
      corners[2 * i] = Number(segment[1]);
      corners[2 * i + 1] = Number(segment[2]);
    });
  const [x, y, u, v, p, q] = corners as [number, number, number, number, number, number];
  return Math.sqrt(Math.abs((u - x) * (q - y) - (p - x) * (v - y)));
}

/** A design as an SVG drawing at true size. */
export function writeDesignSvg({ name, width, height, shapes }: Design): string {
  const paths = shapes.map(({ d, rule, stroke, erases }) => {
    const colour = erases ? '#fff' : '#000';
    return stroke === undefined
      ? `  <path d="${d}" fill="${colour}" fill-rule="${rule}"/>`
      : `  <path d="${d}" fill="none" stroke="${colour}" stroke-width="${stroke}" stroke-linecap="round" stroke-linejoin="round"/>`;
  });
  const title = name.replaceAll('&', '&amp;').replaceAll('<', '&lt;');
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">`,
    `  <title>${title}</title>`,
    ...paths,
    '</svg>',
    '',
  ].join('\n');
}
