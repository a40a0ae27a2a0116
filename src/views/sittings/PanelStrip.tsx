import { useMemo } from 'react';
import { counted } from '../../core/base/words';
import { type DoneLine, keyOf } from '../../core/make/sitting/begun';
import { type KnownSitting, operationOf } from '../../core/make/sitting/known';
import type { Planned } from '../../core/make/sitting/sitting';
import { type LittlePictures, pictureKey } from './useLittlePictures';

interface Props {
  readonly known: KnownSitting;
  readonly lines: readonly (Planned | DoneLine)[];
  /** Minute at which they are looked at. */
  readonly at: number;
  /** How that minute is told: `now`, or by the clock. */
  readonly when: string;
  readonly pictures: LittlePictures;
  /** Panels taken out. */
  readonly out: ReadonlySet<string>;
}

const HEIGHT = 44;

/** Every panel of the sitting as it is at a minute: bare card, begun, or done; each a true little picture. */
export function PanelStrip({ known, lines, at, when, pictures, out }: Props) {
  const stands = useMemo(() => {
    const last = new Map<string, Planned>();
    for (const line of lines.toSorted((p, q) => p.start - q.start))
      if (line.does === 'operation' && line.end <= at + 1e-6 && !('spoiled' in line && line.spoiled))
        last.set(keyOf(line), line);
    return last;
  }, [lines, at]);
  const done = [...stands.values()].filter((line) => {
    const operations = known.lots[line.group]?.group.operations ?? [];
    return (
      line.operation === operations.length - 1 &&
      line.end + (operationOf(known, line)?.rest?.min ?? 0) <= at + 1e-6
    );
  }).length;
  const all = known.lots.reduce((sum, { lot }) => sum + lot.count, 0) - out.size;
  const begun = stands.size - done;
  return (
    <section aria-label="Panels" className="space-y-1">
      <p className="text-mute">
        {when}: {done} of {counted(all, 'panel')} done{begun > 0 && `, ${begun} begun`}.
      </p>
      <ul className="flex flex-wrap gap-1">
        {known.lots.flatMap(({ lot, resolved, before }, group) => {
          const { panel, name } = resolved.recipe;
          const width = Math.round((HEIGHT * panel.width) / panel.height);
          return Array.from({ length: lot.count }, (_, place) => {
            const key = keyOf({ group, panel: place });
            if (out.has(key)) return null;
            const line = stands.get(key);
            const picture = line && pictures.get(pictureKey(group, line.operation));
            const state = line ? (operationOf(known, line)?.name ?? '') : 'bare card';
            return (
              <li
                key={key}
                title={`Panel ${before + place + 1}, ${name}: ${state}`}
                className="relative shadow-[0_0_0_1px_#0003]"
                style={{ width, height: HEIGHT, backgroundColor: resolved.card.colour }}
              >
                {picture && <img src={picture} alt="" width={width} height={HEIGHT} className="block" />}
                <span className="sr-only">
                  Panel {before + place + 1}, {name}: {state}
                </span>
              </li>
            );
          });
        })}
      </ul>
    </section>
  );
}
