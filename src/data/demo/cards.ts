import type { Card } from '../../core/materials/card/card';

const A4 = { width: 210, height: 297 };
/** 12 × 12 in. */
const SQUARE = { width: 304.8, height: 304.8 };

/** The Tollgate Kiln's card drawer; invented. */
export const DEMO_CARDS: readonly Card[] = [
  {
    id: 'smooth-white',
    name: 'smooth white 350 g/m²',
    colour: '#fcfbf8',
    finish: 'smooth',
    grammage: 350,
    sheet: A4,
    stock: 24,
  },
  {
    id: 'watercolour',
    name: 'cold-pressed watercolour 300 g/m²',
    colour: '#f7f3ea',
    finish: 'watercolour',
    grammage: 300,
    sheet: A4,
    stock: 10,
  },
  {
    id: 'kraft',
    name: 'kraft 280 g/m²',
    colour: '#b08d64',
    finish: 'kraft',
    grammage: 280,
    sheet: A4,
    stock: 30,
  },
  {
    id: 'black',
    name: 'black 300 g/m²',
    colour: '#2a2929',
    finish: 'smooth',
    grammage: 300,
    sheet: SQUARE,
    stock: 12,
  },
  { id: 'cream', name: 'smooth cream 300 g/m²', colour: '#f5ecd6', finish: 'smooth', grammage: 300 },
  { id: 'mist-grey', name: 'mist grey 270 g/m²', colour: '#b9bbbb', finish: 'smooth', grammage: 270 },
  { id: 'linen', name: 'linen white 240 g/m²', colour: '#f8f6f0', finish: 'textured', grammage: 240 },
  { id: 'thin-white', name: 'thin white 160 g/m²', colour: '#fbfaf7', finish: 'smooth', grammage: 160 },
];
