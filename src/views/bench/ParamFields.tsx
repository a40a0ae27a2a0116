import { formatBare, parseLength, type Unit } from '../../core/panel/measure';
import { holdParam, isChoice, type MeasureSpec, type ParamSpec, type Params } from '../../core/run/params';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';
import { TypedField } from '../../ui/TypedField';

interface Props {
  /** What the numbers belong to, in words. */
  readonly of: string;
  readonly specs: readonly ParamSpec[];
  readonly params: Params;
  readonly onChange: (params: Params, gesture?: string) => void;
}

const shown = (spec: MeasureSpec, value: number, unit: Unit): string =>
  spec.unit === 'mm'
    ? formatBare(value, unit)
    : String(spec.step < 1 ? Math.round(value * 10) / 10 : Math.round(value));

/** The numbers of a run or of a pass, typed or chosen; a seed can be drawn anew. */
export function ParamFields({ of, specs, params, onChange }: Props) {
  const unit = useAppSelector(({ view }) => view.unit);
  const commit =
    (spec: MeasureSpec) =>
    (text: string): string | undefined => {
      const { key, least, most } = spec;
      const value =
        spec.unit === 'mm'
          ? parseLength(text, unit)
          : Number(text.replace(/[°%]/g, '').replace(',', '.').trim());
      if (value === undefined || text === '' || !Number.isFinite(value) || value < least || value > most)
        return `Type a number from ${shown(spec, least, unit)} to ${shown(spec, most, unit)}.`;
      onChange({ [key]: holdParam(spec, value) });
      return undefined;
    };
  return specs.map((spec) => {
    if (isChoice(spec))
      return (
        <label key={spec.key} className="inline-flex items-center gap-1.5">
          <span className="text-mute">{spec.label}</span>
          <select
            aria-label={`${of}: ${spec.label}`}
            value={params[spec.key] ?? 0}
            onChange={({ target }) => onChange({ [spec.key]: Number(target.value) })}
            className="frame min-h-7 max-w-full px-1 py-0.5"
          >
            {spec.choices.map((choice, i) => (
              <option key={choice} value={i}>
                {choice}
              </option>
            ))}
          </select>
        </label>
      );
    const suffix = spec.unit === 'mm' ? unit : spec.unit === 'seed' || spec.unit === '×' ? '' : spec.unit;
    const value = params[spec.key] ?? spec.least;
    return (
      <span key={spec.key} className="inline-flex items-center gap-1.5">
        <span className="text-mute">{spec.label}</span>
        <TypedField
          label={`${of}: ${spec.label}${suffix ? `, ${suffix}` : ''}`}
          shown={shown(spec, value, unit)}
          onCommit={commit(spec)}
          onStep={(steps) =>
            onChange({ [spec.key]: holdParam(spec, value + steps * spec.step) }, `${of} ${spec.key}`)
          }
          className={spec.unit === 'mm' && unit === 'in' ? 'w-16 text-right' : 'w-12 text-right'}
          {...(suffix ? { suffix } : {})}
        />
        {spec.unit === 'seed' && (
          <Button onClick={() => onChange({ [spec.key]: 1 + Math.floor(Math.random() * spec.most) })}>
            Scatter anew
          </Button>
        )}
      </span>
    );
  });
}
