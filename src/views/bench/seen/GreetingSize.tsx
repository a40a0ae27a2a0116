import { formatBare, formatLength, parseLength, type Unit } from '../../../core/base/length';
import { type CalmPlace, groundWord } from '../../../core/readings/legibility/legibility';
import type { Panel } from '../../../core/recipe/panel';
import { TypedField } from '../../../ui/TypedField';

interface Props {
  readonly size: { readonly width: number; readonly height: number };
  readonly unit: Unit;
  readonly place: CalmPlace;
  readonly needed: number;
  readonly panel: Panel;
  readonly onSize: (size: { width: number; height: number }) => void;
}

/** How large the greeting is, and where it lies calmest. */
export function GreetingSize({ size, unit, place, needed, panel, onSize }: Props) {
  const side =
    (key: 'width' | 'height') =>
    (text: string): string | undefined => {
      const mm = parseLength(text, unit);
      if (mm === undefined || mm < 3 || mm > panel[key])
        return `Type a length from ${formatBare(3, unit)} to ${formatBare(panel[key], unit)} ${unit}.`;
      onSize({ ...size, [key]: mm });
      return undefined;
    };
  const reads = place.least >= needed;
  return (
    <section aria-label="Greeting">
      <h3 className="heading mb-1 text-lead">Greeting</h3>
      <p className="flex flex-wrap items-center gap-1.5">
        <TypedField
          label={`Greeting width, ${unit}`}
          shown={formatBare(size.width, unit)}
          onCommit={side('width')}
          className="w-14 text-right"
        />
        ×
        <TypedField
          label={`Greeting height, ${unit}`}
          shown={formatBare(size.height, unit)}
          onCommit={side('height')}
          className="w-14 text-right"
          suffix={unit}
        />
      </p>
      <p role="status" className="mt-1">
        {reads ? 'Calmest' : 'Nowhere does it read throughout; nearest'} {formatLength(place.x, unit)} from
        the left and {formatLength(panel.height - place.y - place.height, unit)} from the foot: at least{' '}
        <strong>{place.least.toFixed(1)} : 1</strong> on {groundWord(place)} ground.
        {!reads && ' Take another ink, a strip of plain card under it, or an offset shadow in detail black.'}
      </p>
    </section>
  );
}
