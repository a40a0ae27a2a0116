import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { COLOUR_HELP, ColourInput } from '../../app/sampling/ColourInput';
import { schemaResolver } from '../../app/schemaResolver';
import { inkSchema } from '../../core/files/inkSchema';
import { type Hex, parseColour } from '../../core/materials/colour/hex';
import { INK_DEPTHS, INK_LIMITS, type Ink, withLearned } from '../../core/materials/ink/ink';
import { describeHiding, type InkFields, inkFields, inkOfFields } from '../../core/materials/ink/inkFields';
import { INK_KIND_IDS, INK_KINDS } from '../../core/materials/ink/kinds';
import { Checkbox } from '../../ui/Checkbox';
import { FormDialog } from '../../ui/FormDialog';
import { FieldInput, FieldText, FormField, FormInput } from '../../ui/FormField';
import { FormSelect } from '../../ui/Select';

interface Props {
  /** The ink to change; left out for a new one. */
  readonly ink: Ink | undefined;
  readonly families: readonly string[];
  readonly onSave: (ink: Ink) => void;
  readonly onClose: () => void;
}

const { strength, dryBack } = INK_LIMITS;
/** What to type, where the schema of files has something against what is typed. */
const HELP = {
  name: `A name has 1 to ${INK_LIMITS.name} letters.`,
  family: 'Name the family: inks of one hue share a brush.',
  overWhite: COLOUR_HELP,
  overBlack: COLOUR_HELP,
  dryBack: `Type ${100 * dryBack.min} to ${100 * dryBack.max}, or leave it empty.`,
  strength: `Type ${strength.min} to ${strength.max}, or leave it empty.`,
  line: `At most ${INK_LIMITS.line} letters.`,
  brush: `At most ${INK_LIMITS.brush} letters.`,
  note: `At most ${INK_LIMITS.note.toLocaleString('en')} letters.`,
};

/** A form for one ink, new or known. */
export function InkForm({ ink, families, onSave, onClose }: Props) {
  const [id] = useState(() => ink?.id ?? crypto.randomUUID());
  const { register, handleSubmit, watch, setValue, formState } = useForm<InkFields>({
    defaultValues: inkFields(ink),
    resolver: schemaResolver<InkFields>(inkSchema, (fields) => inkOfFields(fields, id), HELP),
  });
  const { errors } = formState;
  const [white, black, kind] = [
    parseColour(watch('overWhite')),
    parseColour(watch('overBlack')),
    watch('kind'),
  ];
  return (
    <FormDialog
      title={ink ? `Change ${ink.name}` : 'Add an ink'}
      onSubmit={handleSubmit((fields) => onSave(withLearned(inkOfFields(fields, id), ink)))}
      onClose={onClose}
    >
      <FormInput label="Name" problem={errors.name?.message} {...register('name')} />
      <FormInput label="Maker’s line" problem={errors.line?.message} {...register('line')} />
      <FormField label="Family" name="family" problem={errors.family?.message}>
        <FieldInput list="families" {...register('family')} />
        <datalist id="families">
          {families.map((family) => (
            <option key={family} value={family} />
          ))}
        </datalist>
      </FormField>
      <div className="grid grid-cols-2 gap-3">
        <FormField label="Depth" name="depth" problem={errors.depth?.message}>
          <FormSelect
            options={INK_DEPTHS.map((depth) => ({ value: depth, label: depth }))}
            {...register('depth')}
          />
        </FormField>
        <FormField label="Kind" name="kind" problem={errors.kind?.message}>
          <FormSelect
            options={INK_KIND_IDS.map((id) => ({ value: id, label: INK_KINDS[id].label }))}
            {...register('kind')}
          />
        </FormField>
      </div>
      <FormField label="Colour over white, dried" name="overWhite" problem={errors.overWhite?.message}>
        <ColourInput
          colour={white}
          onRead={(hex) => setValue('overWhite', hex, { shouldDirty: true, shouldValidate: true })}
        >
          <FieldInput {...register('overWhite')} />
        </ColourInput>
      </FormField>
      <FormField label="Colour over black, if read" name="overBlack" problem={errors.overBlack?.message}>
        <ColourInput
          colour={black}
          onRead={(hex) => setValue('overBlack', hex, { shouldDirty: true, shouldValidate: true })}
        >
          <FieldInput {...register('overBlack')} />
        </ColourInput>
      </FormField>
      <FormInput
        label="Dry-back, per cent"
        problem={errors.dryBack?.message}
        inputMode="decimal"
        placeholder={`${Math.round(INK_KINDS[kind].dryBack * 100)}, as its kind`}
        {...register('dryBack')}
      />
      <p className="self-end text-mute">{hidingOf(white, black)}</p>
      <FormInput
        label="Strength of your hand with it"
        problem={errors.strength?.message}
        inputMode="decimal"
        placeholder="1; more where it comes out darker"
        {...register('strength')}
      />
      <FormInput label="Written on its brush" problem={errors.brush?.message} {...register('brush')} />
      <div className="sm:col-span-2">
        <FormField label="Note" name="note" problem={errors.note?.message}>
          <FieldText rows={2} {...register('note')} />
        </FormField>
      </div>
      <Checkbox label="Wished for, not owned yet" {...register('wished')} />
    </FormDialog>
  );
}

/** How it hides, once both swatches are there. */
const hidingOf = (white: Hex | undefined, black: Hex | undefined): string =>
  white && black
    ? describeHiding(white, black)
    : 'With a swatch over black, how well it hides is solved instead of taken from its kind.';
