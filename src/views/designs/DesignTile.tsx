import { download } from '../../app/download';
import { formatBare, formatFine, formatLength, type Unit } from '../../core/base/length';
import { writeDesignSvg } from '../../core/files/designSvg';
import type { Design } from '../../core/materials/design/design';
import { weightOfLine } from '../../core/materials/design/fineness';
import { Button } from '../../ui/Button';
import { DesignDrawing } from './DesignDrawing';
import { DESIGN_USE_LABELS } from './useLabels';

interface Props {
  readonly design: Design;
  /** How fine its lines are, mm; undefined until it has been measured. */
  readonly finest: number | undefined;
  readonly unit: Unit;
  /** Left out for those that ship with the application, which stay as they are. */
  readonly onEdit?: (design: Design) => void;
  readonly onRemove?: (design: Design) => void;
}

/** Width a design asks for and height it takes with what is said of it, px. */
export const DESIGN_TILE = { width: 232, height: 314 } as const;

/** One design: how it looks, how large and how fine it is. */
export function DesignTile({ design, finest, unit, onEdit, onRemove }: Props) {
  const { name, use, width, height } = design;
  return (
    <article aria-label={name} className="flex h-full flex-col bg-pane">
      <DesignDrawing design={design} className="h-40 w-full border-b border-line p-3" />
      <div className="flex flex-1 flex-col p-3">
        <h2 title={name} className="truncate text-lead font-semibold">
          {name}
        </h2>
        <p>{DESIGN_USE_LABELS[use]}</p>
        <p className="text-mute">
          {formatBare(width, unit)} × {formatLength(height, unit)}
          {finest === undefined
            ? ', measuring …'
            : `, ${weightOfLine(finest)}, from ${formatFine(finest, unit)}`}
        </p>
        <div className="mt-auto flex gap-1 pt-2">
          {onEdit && (
            <Button aria-label={`Change ${name}`} onClick={() => onEdit(design)}>
              Change
            </Button>
          )}
          <Button
            look={onEdit ? 'bare' : 'plain'}
            aria-label={`Keep ${name} as an SVG file`}
            onClick={() => download(`${name}.svg`, 'image/svg+xml', writeDesignSvg(design))}
          >
            SVG
          </Button>
          {onRemove && (
            <Button look="bare" aria-label={`Take away ${name}`} onClick={() => onRemove(design)}>
              Take away
            </Button>
          )}
        </div>
      </div>
    </article>
  );
}
