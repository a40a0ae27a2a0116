import { useMemo } from 'react';
import { useForm } from 'react-hook-form';
import { schemaResolver } from '../../app/schemaResolver';
import { formatBare, formatLength, formatToKeep, parseLength, type Unit } from '../../core/base/length';
import { designHeadSchema } from '../../core/files/designSchema';
import {
  DESIGN_LIMITS,
  DESIGN_USES,
  type Design,
  type DesignUse,
  scaleDesign,
  trimDesign,
} from '../../core/materials/design/design';
import { INK_LIMITS } from '../../core/materials/ink/ink';
import { Checkbox } from '../../ui/Checkbox';
import { FormDialog } from '../../ui/FormDialog';
import { FormField, FormInput } from '../../ui/FormField';
import { FormSelect } from '../../ui/Select';
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
  readonly name: string;
  readonly use: DesignUse;
  readonly width: string;
  readonly trimmed: boolean;
}

/** What to type, where the schema of files has something against what is typed. */
const helpFor = (unit: Unit) => ({
  name: `A name has 1 to ${INK_LIMITS.name} letters.`,
  width: `Type a length from ${formatBare(DESIGN_LIMITS.min, unit)} to ${formatBare(DESIGN_LIMITS.max, unit)} ${unit}.`,
});

/** A form for one design: what it is called, what it is for and how large it is. */
export function DesignForm(props: Props) {
  const { title, design, leftOut = [], swapped, onSwap, unit, onKeep, onClose } = props;
  const { register, handleSubmit, watch, getValues, setValue, formState } = useForm<Fields>({
    defaultValues: {
      name: design.name,
      use: design.use,
      width: formatToKeep(design.width, unit),
      trimmed: false,
    },
    resolver: schemaResolver<Fields>(
      designHeadSchema,
      ({ name, use, width }) => ({ name: name.trim(), use, width: parseLength(width, unit) ?? Number.NaN }),
      helpFor(unit),
    ),
  });
  const { errors } = formState;
  const trimmed = watch('trimmed');
  const tight = useMemo(() => trimDesign(design), [design]);
  const shown = trimmed ? tight : design;
  /** Trimmed or not, what is drawn stays as large as it is. */
  const keepScale = (trims: boolean) => {
    const [before, after] = trims ? [design, tight] : [tight, design];
    const mm = parseLength(getValues('width'), unit);
    if (mm !== undefined) setValue('width', formatToKeep((mm * after.width) / before.width, unit));
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
      <FormInput label="Name" problem={errors.name?.message} {...register('name')} />
      <FormField label="It is" name="use">
        <FormSelect
          options={DESIGN_USES.map((use) => ({ value: use, label: USE_LABELS[use] }))}
          {...register('use')}
        />
      </FormField>
      <FormInput label={`True width, ${unit}`} problem={errors.width?.message} {...register('width')} />
      <div className="space-y-1 self-end">
        <p className="text-mute">
          Height follows:{' '}
          {formatLength(
            ((parseLength(watch('width'), unit) ?? shown.width) * shown.height) / shown.width,
            unit,
          )}
        </p>
        <Checkbox
          label="Trim to what is drawn"
          {...register('trimmed', { onChange: ({ target }) => keepScale(target.checked) })}
        />
        {onSwap && (
          <Checkbox
            label="The pale parts are meant"
            checked={swapped ?? false}
            onChange={({ target }) => onSwap(target.checked)}
          />
        )}
      </div>
    </FormDialog>
  );
}
