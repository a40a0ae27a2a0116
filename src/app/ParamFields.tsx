import type { Size } from '../core/base/geometry';
import {
  type ChoiceSpec,
  clampMeasure,
  formatMeasure,
  isChoice,
  keyStep,
  type MeasureSpec,
  type ParamSpecs,
  type Params,
  readMeasure,
  toldOn,
  toldSpec,
} from '../core/base/params';
import { useAppSelector } from '../store/hooks';
import { Button } from '../ui/Button';
import { Select } from '../ui/Select';
import { TypedField } from '../ui/TypedField';
import { useKeyRun } from './useKeyRun';

interface Props {
  /** What the parameters belong to, in words. */
  readonly of: string;
  readonly specs: ParamSpecs;
  readonly params: Params;
  /** What they are measured on. */
  readonly panel: Size;
  readonly onChange: (params: Params, gesture?: string) => void;
  /** In a table: what each is called stands over its column. */
  readonly isBare?: boolean;
}

/** The parameters of a run or of a pass, typed or chosen; a seed can be drawn anew. */
export const ParamFields = ({ of, specs, params, panel, onChange, isBare = false }: Props) =>
  Object.entries(specs).map(([key, spec]) =>
    isChoice(spec) ? (
      <ChoiceField
        key={key}
        of={of}
        isBare={isBare}
        spec={spec}
        value={String(params[key] ?? spec.initial)}
        onChange={(word) => onChange({ [key]: word })}
      />
    ) : (
      <MeasureField
        key={key}
        of={of}
        isBare={isBare}
        spec={toldSpec(spec, panel)}
        value={toldOn(spec, Number(params[key] ?? spec.min), panel)}
        onChange={(told, run) =>
          onChange(
            { [key]: toldOn(spec, told, panel) },
            run === undefined ? undefined : `${of} ${key} ${run}`,
          )
        }
      />
    ),
  );

interface ChoiceProps {
  readonly of: string;
  readonly isBare: boolean;
  readonly spec: ChoiceSpec;
  readonly value: string;
  readonly onChange: (word: string) => void;
}

const ChoiceField = ({ of, isBare, spec, value, onChange }: ChoiceProps) => (
  <span className="inline-flex items-center gap-1.5">
    {!isBare && <span className="text-mute">{spec.label}</span>}
    <Select
      label={`${of}: ${spec.label}`}
      value={value}
      options={Object.entries(spec.choices).map(([word, label]) => ({ value: word, label }))}
      onChange={onChange}
    />
  </span>
);

interface MeasureProps {
  readonly of: string;
  readonly isBare: boolean;
  readonly spec: MeasureSpec;
  readonly value: number;
  /** @param run  which run of small steps it is of: those are undone as one */
  readonly onChange: (value: number, run?: number) => void;
}

function MeasureField({ of, isBare, spec, value, onChange }: MeasureProps) {
  const unit = useAppSelector(({ view }) => view.unit);
  const pressed = useKeyRun();
  const commit = (text: string): string | undefined => {
    const read = readMeasure(spec, text, unit);
    if (read === undefined)
      return `Type a number from ${formatMeasure(spec, spec.min, unit)} to ${formatMeasure(spec, spec.max, unit)}.`;
    onChange(read);
    return undefined;
  };
  const suffix = spec.unit === 'mm' ? unit : spec.unit === 'seed' || spec.unit === '×' ? '' : spec.unit;
  return (
    <span className="inline-flex items-center gap-1.5">
      {!isBare && <span className="text-mute">{spec.label}</span>}
      <TypedField
        label={`${of}: ${spec.label}${suffix ? `, ${suffix}` : ''}`}
        shown={formatMeasure(spec, value, unit)}
        onCommit={commit}
        onStep={(steps) => onChange(clampMeasure(spec, value + steps * keyStep(spec, unit)), pressed())}
        className={spec.unit === 'mm' && unit === 'in' ? 'w-16 text-right' : 'w-12 text-right'}
        {...(suffix && !isBare ? { suffix } : {})}
      />
      {spec.unit === 'seed' && (
        <Button onClick={() => onChange(1 + Math.floor(Math.random() * spec.max))}>Scatter anew</Button>
      )}
    </span>
  );
}
