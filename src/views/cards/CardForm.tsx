import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { COLOUR_HELP, ColourInput } from '../../app/sampling/ColourInput';
import { schemaResolver } from '../../app/schemaResolver';
import { formatBare, formatToKeep, MM_AN_INCH, type Unit } from '../../core/base/length';
import { cardSchema } from '../../core/files/cardSchema';
import { CARD_LIMITS, type Card } from '../../core/materials/card/card';
import { type CardFields, cardFields, cardOfFields } from '../../core/materials/card/cardFields';
import { FINISH_IDS, FINISHES } from '../../core/materials/card/finishes';
import { isoASize, parseGrammage, poundsOfGrammage } from '../../core/materials/card/paper';
import { parseColour } from '../../core/materials/colour/hex';
import { INK_LIMITS } from '../../core/materials/ink/ink';
import { Button } from '../../ui/Button';
import { FormDialog } from '../../ui/FormDialog';
import { FieldInput, FormField, FormInput } from '../../ui/FormField';
import { FormSelect } from '../../ui/Select';

interface Props {
  /** The card to change; left out for a new one. */
  readonly card: Card | undefined;
  readonly unit: Unit;
  readonly onSave: (card: Card) => void;
  readonly onClose: () => void;
}

const [a4Width, a4Height] = isoASize(4);
/** Sheets in common use, mm. */
const SHEETS = [
  { label: 'A4', width: a4Width, height: a4Height },
  { label: 'US Letter', width: 8.5 * MM_AN_INCH, height: 11 * MM_AN_INCH },
  { label: '12 × 12 in', width: 12 * MM_AN_INCH, height: 12 * MM_AN_INCH },
] as const;

/** What to type, where the schema of files has something against what is typed. */
const helpFor = (unit: Unit) => {
  const { grammage, sheet } = CARD_LIMITS;
  const side = `Type a length from ${formatBare(sheet.min, unit)} to ${formatBare(sheet.max, unit)} ${unit}, or leave both empty.`;
  return {
    name: `A name has 1 to ${INK_LIMITS.name} letters.`,
    colour: COLOUR_HELP,
    grammage: `Type ${grammage.min} to ${grammage.max} g/m², or pounds as 130 lb cover or 80 lb text.`,
    width: side,
    height: side,
    stock: 'Type a whole number, or leave it empty.',
    note: `At most ${CARD_LIMITS.note.toLocaleString('en')} letters.`,
  };
};

/** A form for one card, new or known. */
export function CardForm({ card, unit, onSave, onClose }: Props) {
  const [id] = useState(() => card?.id ?? crypto.randomUUID());
  const { register, handleSubmit, watch, setValue, formState } = useForm<CardFields>({
    defaultValues: cardFields(card, unit),
    resolver: schemaResolver<CardFields>(
      cardSchema,
      (fields) => cardOfFields(fields, id, unit),
      helpFor(unit),
    ),
  });
  const { errors } = formState;
  const weight = parseGrammage(watch('grammage'));
  return (
    <FormDialog
      title={card ? `Change ${card.name}` : 'Add a card'}
      onSubmit={handleSubmit((fields) => onSave(cardOfFields(fields, id, unit)))}
      onClose={onClose}
    >
      <FormInput label="Name" problem={errors.name?.message} {...register('name')} />
      <FormField label="Colour" name="colour" problem={errors.colour?.message}>
        <ColourInput
          colour={parseColour(watch('colour'))}
          onRead={(hex) => setValue('colour', hex, { shouldDirty: true, shouldValidate: true })}
        >
          <FieldInput {...register('colour')} />
        </ColourInput>
      </FormField>
      <FormField label="Finish" name="finish">
        <FormSelect
          options={FINISH_IDS.map((id) => ({ value: id, label: FINISHES[id].label }))}
          {...register('finish')}
        />
      </FormField>
      <FormField label="Weight" name="grammage" problem={errors.grammage?.message}>
        <FieldInput placeholder="350, or 130 lb cover, or 80 lb text" {...register('grammage')} />
        {weight !== undefined && (
          <p className="mt-0.5 text-mute">
            {Math.round(weight)} g/m², {Math.round(poundsOfGrammage(weight, 'cover'))} lb cover
          </p>
        )}
      </FormField>
      <div className="grid grid-cols-2 gap-3">
        <FormInput label={`Sheet width, ${unit}`} problem={errors.width?.message} {...register('width')} />
        <FormInput label={`Sheet height, ${unit}`} problem={errors.height?.message} {...register('height')} />
      </div>
      <div className="flex flex-wrap items-end gap-1.5 pb-0.5">
        {SHEETS.map(({ label, width, height }) => (
          <Button
            key={label}
            onClick={() => {
              setValue('width', formatToKeep(width, unit), { shouldDirty: true });
              setValue('height', formatToKeep(height, unit), { shouldDirty: true });
            }}
          >
            {label}
          </Button>
        ))}
      </div>
      <FormInput
        label="Whole sheets in stock"
        problem={errors.stock?.message}
        inputMode="numeric"
        {...register('stock')}
      />
      <FormInput label="Note" problem={errors.note?.message} {...register('note')} />
    </FormDialog>
  );
}
