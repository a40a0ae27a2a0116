/** Drawings and pictures meant to do harm, or to keep a program busy for ever; for tests of every way a design comes in. */

interface Hostile {
  readonly name: string;
  readonly text: string;
  /** What it is refused with; where left out, it is read without what is hostile in it. */
  readonly refused?: RegExp;
}

const open =
  '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 50 50">';
const box = '<rect x="5" y="5" width="40" height="40"/>';
const deep = 300;

export const HOSTILE_SVGS: readonly Hostile[] = [
  { name: 'a script', text: `${open}<script>document.title = 'taken'</script>${box}</svg>` },
  {
    name: 'handlers',
    text: `${open}<rect width="40" height="40" onload="document.title='taken'" onclick="document.title='taken'"/></svg>`,
  },
  {
    name: 'references outside',
    text: `${open}<image href="http://127.0.0.1:9/pixel.png"/><use xlink:href="http://127.0.0.1:9/a.svg#b"/><style>@import url(http://127.0.0.1:9/a.css);</style>${box}</svg>`,
  },
  {
    name: 'a page inside',
    text: `${open}<foreignObject><body xmlns="http://www.w3.org/1999/xhtml"><img src="x" onerror="document.title='taken'"/></body></foreignObject>${box}</svg>`,
  },
  { name: 'a link', text: `${open}<a href="javascript:document.title='taken'">${box}</a>${box}</svg>` },
  {
    name: 'entities that multiply',
    text: `<!DOCTYPE svg [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;"><!ENTITY c "&b;&b;&b;&b;&b;&b;&b;&b;">]>${open}<text>&c;</text></svg>`,
    refused: /entities of its own/,
  },
  {
    name: 'an entity from a file',
    text: `<!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/hostname">]>${open}<text>&x;</text></svg>`,
    refused: /entities of its own/,
  },
  {
    name: 'a huge path',
    text: `${open}<path d="M0 0${'L1 1L2 0'.repeat(150_000)}"/></svg>`,
    refused: /too long to work with/,
  },
  {
    name: 'a scribble without end',
    text: `${open}<path stroke="#000" d="M0 0${'L9 50L1 0'.repeat(8000)}"/></svg>`,
    refused: /too often to be measured/,
  },
  { name: 'broken XML', text: `${open}<g>${box}</svg>`, refused: /line 1.*not well-formed SVG/s },
  { name: 'a path of letters', text: `${open}<path d="M0 0 L x y"/></svg>`, refused: /path cannot be read/ },
  {
    name: 'no end of numbers',
    text: `${open}<path d="M0 0L1e999 5L9 9z"/></svg>`,
    refused: /proper numbers|cannot be read/,
  },
  { name: 'elements without end', text: `${open}${'<rect/>'.repeat(20_000)}</svg>`, refused: /elements/ },
  {
    name: 'groups in groups',
    text: `${open}${'<g>'.repeat(deep)}${box}${'</g>'.repeat(deep)}</svg>`,
    refused: /are nested more than/,
  },
  {
    name: 'a part that is made of itself',
    text: `${open}<g id="a">${box}<use href="#a"/></g></svg>`,
    refused: /are nested more than/,
  },
  {
    name: 'parts that multiply',
    text: `${open}<defs>${Array.from({ length: 12 }, (_, i) => `<g id="p${i + 1}">${`<use href="#p${i}"/>`.repeat(10)}</g>`).join('')}<g id="p0">${box}</g></defs><use href="#p12"/></svg>`,
    refused: /more than 6000 elements/,
  },
  {
    name: 'a style sheet without end',
    text: `${open}<style>${'.a:not(.b){fill:red}'.repeat(40_000)}</style>${box.repeat(3000)}</svg>`,
  },
  {
    name: 'a style sheet that asks outside',
    text: `${open}<style>@font-face{font-family:x;src:url(http://127.0.0.1:9/f.woff)} rect{fill:url(http://127.0.0.1:9/p.svg#q)}</style>${box}</svg>`,
  },
  { name: 'an empty file', text: '', refused: /not well-formed SVG/ },
  { name: 'a web page', text: '<html><body><p>hello</p></body></html>', refused: /not an SVG drawing/ },
  { name: 'nothing drawn', text: `${open}<text>hello</text></svg>`, refused: /no dark shape \(it has text/ },
  {
    name: 'no size',
    text: `<svg xmlns="http://www.w3.org/2000/svg">${box}</svg>`,
    refused: /how large it is/,
  },
];

/** A PNG whose header says 20,000 × 20,000 pixels: a few bytes that stand for more than a gigabyte. */
export function hugePng(): Uint8Array<ArrayBuffer> {
  const bytes = new Uint8Array(45);
  bytes.set([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
  const view = new DataView(bytes.buffer);
  view.setUint32(8, 13);
  bytes.set(new TextEncoder().encode('IHDR'), 12);
  view.setUint32(16, 20_000);
  view.setUint32(20, 20_000);
  bytes.set([8, 6, 0, 0, 0], 24);
  return bytes;
}
