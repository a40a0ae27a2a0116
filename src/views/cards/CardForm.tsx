import { useForm } from 'react-hook-form';
import { COLOUR_RULE, ColourInput } from '../../app/sampling/ColourInput';
import { formatBare, MM_AN_INCH, parseLength, type Unit } from '../../core/base/length';
import { type Card, GRAMMAGE_LIMITS, SHEET_LIMITS } from '../../core/materials/card/card';
import { FINISH_IDS, FINISHES, type FinishId } from '../../core/materials/card/finishes';
import { isoASize, parseGrammage, poundsOfGrammage } from '../../core/materials/card/paper';
import { type Hex, parseColour } from '../../core/materials/colour/hex';
import { Button } from '../../ui/Button';
import { FormDialog } from '../../ui/FormDialog';
import { FIELD, FormField, FormInput, NAME_RULE } from '../../ui/FormField';

interface Props {
  /** The card to change; left out for a new one. */
  readonly card: Card | undefined;
  readonly unit: Unit;
  readonly onSave: (card: Card) => void;
  readonly onClose: () => void;
}

interface Fields {
  name: string;
  colour: string;
  finish: FinishId;
  weight: string;
  width: string;
  height: string;
  stock: string;
  note: string;
}

const [a4Width, a4Height] = isoASize(4);
/** Sheets in common use, mm. */
const SHEETS = [
  { label: 'A4', width: a4Width, height: a4Height },
  { label: 'US Letter', width: 8.5 * MM_AN_INCH, height: 11 * MM_AN_INCH },
  { label: '12 × 12 in', width: 12 * MM_AN_INCH, height: 12 * MM_AN_INCH },
] as const;

const fieldsOf = (card: Card | undefined, unit: Unit): Fields => ({
  name: card?.name ?? '',
  colour: card?.colour ?? '',
  finish: card?.finish ?? 'smooth',
  weight: card ? String(Math.round(card.grammage)) : '',
  width: card?.sheet ? formatBare(card.sheet.width, unit) : '',
  height: card?.sheet ? formatBare(card.sheet.height, unit) : '',
  stock: card?.stock === undefined ? '' : String(card.stock),
  note: card?.note ?? '',
});

/** The fields as a card; called when every field has passed its check. */
function cardFrom(fields: Fields, id: string, unit: Unit): Card {
  const [width, height] = [parseLength(fields.width, unit), parseLength(fields.height, unit)];
  const note = fields.note.trim();
  return {
    id,
    name: fields.name.trim(),
    colour: parseColour(fields.colour) as Hex,
    finish: fields.finish,
    grammage: Math.round(parseGrammage(fields.weight) as number),
    ...(width && height ? { sheet: { width, height } } : {}),
    ...(fields.stock.trim() ? { stock: Number(fields.stock) } : {}),
    ...(note ? { note } : {}),
  };
}

/** A form for one card, new or known. */
export function CardForm({ card, unit, onSave, onClose }: Props) {
  const { register, handleSubmit, watch, setValue, getValues, formState } = useForm<Fields>({
    defaultValues: fieldsOf(card, unit),
  });
  const { errors } = formState;
  const weight = parseGrammage(watch('weight'));
  const side = (other: 'width' | 'height') => ({
    validate: (text: string) => {
      const empty = text.trim() === '';
      if (empty && getValues(other).trim() === '') return true;
      const mm = parseLength(text, unit);
      const { least, most } = SHEET_LIMITS;
      return (
        (mm !== undefined && mm >= least && mm <= most) ||
        `Type a length from ${formatBare(least, unit)} to ${formatBare(most, unit)} ${unit}, or leave both empty.`
      );
    },
  });
  return (
    <FormDialog
      title={card ? `Change ${card.name}` : 'Add a card'}
      onSubmit={handleSubmit((fields) => onSave(cardFrom(fields, card?.id ?? crypto.randomUUID(), unit)))}
      onClose={onClose}
    >
      <FormInput label="Name" problem={errors.name?.message} {...register('name', NAME_RULE)} />
      <FormField label="Colour" name="colour" problem={errors.colour?.message}>
        <ColourInput
          colour={parseColour(watch('colour'))}
          onRead={(hex) => setValue('colour', hex, { shouldDirty: true, shouldValidate: true })}
        >
          <input id="colour" autoComplete="off" className={FIELD} {...register('colour', COLOUR_RULE)} />
        </ColourInput>
      </FormField>
      <FormField label="Finish" name="finish">
        <select id="finish" className={FIELD} {...register('finish')}>
          {FINISH_IDS.map((id) => (
            <option key={id} value={id}>
              {FINISHES[id].label}
            </option>
          ))}
        </select>
      </FormField>
      <FormField label="Weight" name="weight" problem={errors.weight?.message}>
        <input
          id="weight"
          autoComplete="off"
          placeholder="350, or 130 lb cover, or 80 lb text"
          className={`${FIELD} placeholder:text-mute`}
          {...register('weight', {
            validate: (text) => {
              const grammage = parseGrammage(text);
              const { least, most } = GRAMMAGE_LIMITS;
              return (
                (grammage !== undefined && grammage >= least && grammage <= most) ||
                `Type ${least} to ${most} g/m², or pounds as 130 lb cover or 80 lb text.`
              );
            },
          })}
        />
        {weight !== undefined && (
          <p className="mt-0.5 text-mute">
            {Math.round(weight)} g/m², {Math.round(poundsOfGrammage(weight, 'cover'))} lb cover
          </p>
        )}
      </FormField>
      <div className="grid grid-cols-2 gap-3">
        <FormInput
          label={`Sheet width, ${unit}`}
          problem={errors.width?.message}
          {...register('width', side('height'))}
        />
        <FormInput
          label={`Sheet height, ${unit}`}
          problem={errors.height?.message}
          {...register('height', side('width'))}
        />
      </div>
      <div className="flex flex-wrap items-end gap-1.5 pb-0.5">
        {SHEETS.map(({ label, width, height }) => (
          <Button
            key={label}
            onClick={() => {
              setValue('width', formatBare(width, unit), { shouldDirty: true });
              setValue('height', formatBare(height, unit), { shouldDirty: true });
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
        {...register('stock', {
          validate: (text) =>
            text.trim() === '' || /^\d{1,5}$/.test(text.trim()) || 'Type a whole number, or leave it empty.',
        })}
      />
      <FormInput
        label="Note"
        problem={errors.note?.message}
        {...register('note', { maxLength: { value: 2000, message: 'At most 2,000 letters.' } })}
      />
    </FormDialog>
  );
}
