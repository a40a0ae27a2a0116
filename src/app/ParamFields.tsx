import {
  formatMeasure,
  holdParam,
  isChoice,
  type MeasureSpec,
  type ParamSpec,
  type Params,
  readMeasure,
} from '../core/base/params';
import { useAppSelector } from '../store/hooks';
import { Button } from '../ui/Button';
import { TypedField } from '../ui/TypedField';

interface Props {
  /** What the numbers belong to, in words. */
  readonly of: string;
  readonly specs: readonly ParamSpec[];
  readonly params: Params;
  readonly onChange: (params: Params, gesture?: string) => void;
}

/** The numbers of a run or of a pass, typed or chosen; a seed can be drawn anew. */
export function ParamFields({ of, specs, params, onChange }: Props) {
  const unit = useAppSelector(({ view }) => view.unit);
  const commit =
    (spec: MeasureSpec) =>
    (text: string): string | undefined => {
      const value = readMeasure(spec, text, unit);
      if (value === undefined)
        return `Type a number from ${formatMeasure(spec, spec.least, unit)} to ${formatMeasure(spec, spec.most, unit)}.`;
      onChange({ [spec.key]: value });
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
          shown={formatMeasure(spec, value, unit)}
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
