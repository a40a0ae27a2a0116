import fc from 'fast-check';
import { encode } from 'fast-png';
import sharp from 'sharp';
import { describe, expect, test } from 'vitest';
import { HOSTILE_SVGS, hugePng } from '../../testing/hostileDesigns';
import { type Design, scaleDesign } from '../materials/design/design';
import { isOwnDesign, OWN_DESIGNS } from '../materials/design/own';
import { coverageOfDesign } from '../materials/design/raster';
import { readDesignPng } from './designPng';
import { checkSvg, readDesignSvg, SVG_LIMITS, writeDesignSvg } from './designSvg';
import { FileError } from './fileError';
import { withInlineStyles } from './svgStyles';

const svg = (inside: string, attributes = 'viewBox="0 0 100 50" width="100mm"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${inside}</svg>`;
const read = (text: string) => {
  checkSvg(text);
  return readDesignSvg(text, 'read', 'Read');
};
const readStyled = async (text: string) => {
  checkSvg(text);
  return readDesignSvg(await withInlineStyles(text), 'read', 'Read');
};
const cells = (design: Design, columns = 200) => {
  const cell = design.width / columns;
  const rows = Math.round(design.height / cell);
  return coverageOfDesign(design, { columns, rows, cell, margin: 0 }, false);
};
const area = (design: Design) => {
  const covered = cells(design);
  return covered.reduce((sum, one) => sum + one, 0) / covered.length;
};

/** How far a design's coverage is on average from what another renderer draws, 0…1. */
async function farFromRendered(design: Design, text: string): Promise<number> {
  const own = cells(design, 400);
  const { data } = await sharp(Buffer.from(text), { density: 300 })
    .resize(400, 200, { fit: 'fill' })
    .flatten({ background: '#fff' })
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return own.reduce((sum, one, i) => sum + Math.abs(1 - (data[i] ?? 0) / 255 - one), 0) / own.length;
}

describe('a drawing, SVG', () => {
  test('is read at its true size, whatever it is measured in', () => {
    const box = '<rect x="10" y="10" width="80" height="30"/>';
    for (const [attributes, wide] of [
      ['viewBox="0 0 100 50" width="100mm"', 100],
      ['viewBox="0 0 100 50" width="10cm" height="5cm"', 100],
      ['viewBox="0 0 100 50" width="2in"', 50.8],
      ['width="192" height="96"', 50.8],
      ['viewBox="0 0 96 48"', 25.4],
    ] as const)
      expect(read(svg(box, attributes)).design.width).toBeCloseTo(wide, 3);
    expect(area(read(svg(box)).design)).toBeCloseTo(0.48, 2);
  });

  test('boxes, rounds, polygons, lines, groups and transforms come out as an independent renderer draws them', async () => {
    const text = svg(`
      <g transform="translate(10 5) scale(.8)" style="fill:none;stroke:black;stroke-width:2">
        <ellipse cx="20" cy="20" rx="15" ry="9"/><line x1="0" y1="40" x2="50" y2="48" stroke-linecap="round"/>
        <polyline points="60,5 70,30 80,5 90,30" stroke-linejoin="round" stroke-linecap="round"/>
      </g>
      <polygon points="55,30 75,30 65,45"/><circle cx="88" cy="38" r="9"/><circle cx="88" cy="38" r="4" fill="white"/>
      <rect x="3" y="3" width="20" height="8" rx="3" transform="rotate(10 13 7)"/>`);
    expect(await farFromRendered(read(text).design, text)).toBeLessThan(0.01);
  });

  test('style sheets, parts used again and symbols come out as an independent renderer draws them', async () => {
    const text = svg(`
      <defs>
        <style><![CDATA[ .line, #arch { fill: none; stroke: #000 } .line { stroke-width: 2px } g > .pale { fill: #fff !important } ]]></style>
        <g id="pot"><path d="M0 0h12v10a6 6 0 0 1-12 0z"/><circle class="pale" cx="6" cy="6" r="3" fill="red"/></g>
        <symbol id="sign" viewBox="0 0 10 20"><path d="M0 0h10v20z"/></symbol>
      </defs>
      <path class="line" stroke-linecap="round" d="M5 45C20 20 40 60 60 42" fill="red"/>
      <path id="arch" stroke-width="3" stroke-linecap="round" d="M70 45a12 12 0 0 1 24 0"/>
      <use href="#pot" x="8" y="6"/>
      <use xlink:href="#pot" transform="translate(60 4) rotate(15)"/>
      <use href="#sign" x="32" y="4" width="20" height="16"/>
      <use href="other.svg#pot" x="80" y="20"/>`);
    const linked = text.replace('<svg ', '<svg xmlns:xlink="http://www.w3.org/1999/xlink" ');
    const { design, leftOut } = await readStyled(linked);
    expect(await farFromRendered(design, linked)).toBeLessThan(0.01);
    expect(leftOut).toEqual(['use']);
  });

  test('what is written is read back as it was', () => {
    for (const design of OWN_DESIGNS.slice(0, 5)) {
      const back = read(writeDesignSvg(design)).design;
      expect([back.width, back.height]).toEqual([design.width, design.height]);
      const [p, q] = [cells(design), cells(back)];
      expect(p.reduce((sum, one, i) => sum + Math.abs(one - (q[i] ?? 0)), 0) / p.length).toBeLessThan(0.002);
    }
  });

  test('what is not geometry is left out and told', () => {
    const { design, leftOut } = read(
      svg(
        '<text>hello</text><clipPath id="c"><rect width="9" height="9"/></clipPath><rect width="50" height="50" style="clip-path:url(#c)"/><title>kept quiet</title>',
      ),
    );
    expect(leftOut).toEqual(['text', 'clipping']);
    expect(design.shapes).toHaveLength(1);
  });
});

describe('a hostile drawing', () => {
  test.each(HOSTILE_SVGS)(
    '$name: refused, or nothing of it goes on but geometry',
    async ({ text, refused }) => {
      if (refused) await expect(readStyled(text)).rejects.toThrow(refused);
      else {
        const kept = writeDesignSvg((await readStyled(text)).design);
        expect(kept).not.toMatch(/script|onload|href|url\(|@import|foreignObject|javascript|style/i);
      }
    },
  );

  test('any text at all is refused with a reason, or read', () => {
    const part = fc.constantFrom(
      '<',
      '>',
      'svg',
      'path d="',
      'M0 0',
      'L9 9',
      '"',
      '/',
      '&',
      'z',
      ' ',
      '<g>',
      '</g>',
      '1e9',
      '-',
    );
    fc.assert(
      fc.property(fc.array(part, { maxLength: 40 }), (parts) => {
        for (const text of [parts.join(''), svg(parts.join(''))]) {
          try {
            expect(read(text).design.shapes.length).toBeGreaterThan(0);
          } catch (error) {
            if (!(error instanceof FileError)) throw error;
            expect(error.message.length).toBeGreaterThan(10);
          }
        }
      }),
    );
  });

  test('too many letters are refused before they are looked at', () => {
    expect(() => checkSvg(' '.repeat(SVG_LIMITS.letters + 1))).toThrow(/million letters/);
  });
});

describe('a picture, PNG', () => {
  test('its dark part is outlined as it was drawn', async () => {
    const leaf = OWN_DESIGNS.find(({ id }) => id === 'pressed-leaf') as Design;
    const png = await sharp(Buffer.from(writeDesignSvg(leaf)), { density: 254 })
      .flatten({ background: '#fff' })
      .png()
      .toBuffer();
    const { design } = readDesignPng(new Uint8Array(png), 'traced', 'Traced');
    const { width = 0, density = 72 } = await sharp(png).metadata();
    expect(Math.abs(design.width - (width / density) * 25.4)).toBeLessThan(1);
    const [p, q] = [cells(leaf), cells(scaleDesign(design, leaf.width))];
    expect(p.reduce((sum, one, i) => sum + Math.abs(one - (q[i] ?? 0)), 0) / p.length).toBeLessThan(0.015);
    const swapped = readDesignPng(new Uint8Array(png), 'swapped', 'Swapped', true).design;
    expect(area(swapped) + area(design)).toBeCloseTo(1, 1);
    expect(isOwnDesign(design.id)).toBe(false);
  });

  test('one of 20,000 pixels, a damaged one, an even one and no picture at all are refused with the reason', () => {
    const tell = (bytes: Uint8Array) => {
      try {
        readDesignPng(bytes, 'x', 'x');
      } catch (error) {
        if (error instanceof FileError) return error.message;
        throw error;
      }
      return 'read';
    };
    expect(tell(hugePng())).toMatch(/20000 × 20000 pixels/);
    const even = encode({
      width: 40,
      height: 40,
      channels: 1,
      depth: 8,
      data: new Uint8Array(1600).fill(200),
    });
    expect(tell(even)).toMatch(/all of one tone/);
    expect(tell(even.subarray(0, 60))).toMatch(/damaged/);
    expect(tell(new TextEncoder().encode('<svg/>'))).toMatch(/not a PNG/);
    expect(tell(new Uint8Array(0))).toMatch(/not a PNG/);
  });
});
