import { useMemo } from 'react';
import { useForm } from 'react-hook-form';
import { formatBare, formatLength, parseLength, type Unit } from '../../core/base/length';
import {
  DESIGN_LIMITS,
  type Design,
  type DesignUse,
  scaleDesign,
  trimDesign,
} from '../../core/materials/design/design';
import { FormDialog } from '../../ui/FormDialog';
import { FIELD, FormField, FormInput, NAME_RULE } from '../../ui/FormField';
import { DesignDrawing } from './DesignDrawing';

interface Props {
  readonly title: string;
  readonly design: Design;
  /** What of its file was not read. */
  readonly leftOut?: readonly string[];
  /** Whether the pale parts of a picture are meant; left out for a drawing. */
  readonly swapped?: boolean;
  readonly onSwap?: (swapped: boolean) => void;
  readonly unit: Unit;
  readonly onKeep: (design: Design) => void;
  readonly onClose: () => void;
}

const USE_LABELS: Readonly<Record<DesignUse, string>> = {
  image: 'an image to stamp, emboss or mask with',
  pattern: 'a stencil to ink through',
  edge: 'an edge stencil to ink along',
};

interface Fields {
  name: string;
  use: DesignUse;
  width: string;
  trimmed: boolean;
}

/** A form for one design: what it is called, what it is for and how large it is. */
export function DesignForm(props: Props) {
  const { title, design, leftOut = [], swapped, onSwap, unit, onKeep, onClose } = props;
  const { register, handleSubmit, watch, getValues, setValue, formState } = useForm<Fields>({
    defaultValues: {
      name: design.name,
      use: design.use,
      width: formatBare(design.width, unit),
      trimmed: false,
    },
  });
  const { errors } = formState;
  const trimmed = watch('trimmed');
  const tight = useMemo(() => trimDesign(design), [design]);
  const shown = trimmed ? tight : design;
  /** Trimmed or not, what is drawn stays as large as it is. */
  const keepScale = (trims: boolean) => {
    const [before, after] = trims ? [design, tight] : [tight, design];
    const mm = parseLength(getValues('width'), unit);
    if (mm !== undefined) setValue('width', formatBare((mm * after.width) / before.width, unit));
  };
  const keep = ({ name, use, width }: Fields) =>
    onKeep({ ...scaleDesign(shown, parseLength(width, unit) ?? shown.width), name: name.trim(), use });
  return (
    <FormDialog title={title} onSubmit={handleSubmit(keep)} onClose={onClose}>
      <DesignDrawing design={shown} className="h-56 w-full border border-line p-2 sm:col-span-2" />
      {leftOut.length > 0 && (
        <p className="border-l-4 border-text pl-3 sm:col-span-2">
          Left out: {leftOut.join(', ')}. Only shapes are read; turn lettering into paths to have it cut.
        </p>
      )}
      <FormInput label="Name" problem={errors.name?.message} {...register('name', NAME_RULE)} />
      <FormField label="It is" name="use">
        <select id="use" className={FIELD} {...register('use')}>
          {(Object.keys(USE_LABELS) as DesignUse[]).map((use) => (
            <option key={use} value={use}>
              {USE_LABELS[use]}
            </option>
          ))}
        </select>
      </FormField>
      <FormInput
        label={`True width, ${unit}`}
        problem={errors.width?.message}
        {...register('width', {
          validate: (text) => {
            const mm = parseLength(text, unit);
            const { least, most } = DESIGN_LIMITS;
            return (
              (mm !== undefined && mm >= least && mm <= most) ||
              `Type a length from ${formatBare(least, unit)} to ${formatBare(most, unit)} ${unit}.`
            );
          },
        })}
      />
      <div className="space-y-1 self-end">
        <p className="text-mute">
          Height follows:{' '}
          {formatLength(
            ((parseLength(watch('width'), unit) ?? shown.width) * shown.height) / shown.width,
            unit,
          )}
        </p>
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-(--strong)"
            {...register('trimmed', { onChange: ({ target }) => keepScale(target.checked) })}
          />
          Trim to what is drawn
        </label>
        {onSwap && (
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              className="size-4 accent-(--strong)"
              checked={swapped ?? false}
              onChange={({ target }) => onSwap(target.checked)}
            />
            The pale parts are meant
          </label>
        )}
      </div>
    </FormDialog>
  );
}
