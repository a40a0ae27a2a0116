import { useForm } from 'react-hook-form';
import { COLOUR_HELP, COLOUR_RULE, ColourInput } from '../../app/sampling/ColourInput';
import { type Hex, parseColour } from '../../core/materials/colour/hex';
import { contrastRatio, type Ink, type InkDepth, POTENCY_LIMITS } from '../../core/materials/ink/ink';
import { INK_KIND_IDS, INK_KINDS, type InkKindId } from '../../core/materials/ink/kinds';
import { FormDialog } from '../../ui/FormDialog';
import { FIELD, FormField, FormInput, NAME_RULE } from '../../ui/FormField';

interface Props {
  /** The ink to change; left out for a new one. */
  readonly ink: Ink | undefined;
  readonly families: readonly string[];
  readonly onSave: (ink: Ink) => void;
  readonly onClose: () => void;
}

/** What is typed, before it is an ink. */
interface Fields {
  name: string;
  line: string;
  family: string;
  depth: InkDepth;
  kind: InkKindId;
  overWhite: string;
  overBlack: string;
  dryBack: string;
  potency: string;
  brush: string;
  note: string;
  wished: boolean;
}

const fieldsOf = (ink: Ink | undefined): Fields => ({
  name: ink?.name ?? '',
  line: ink?.line ?? '',
  family: ink?.family ?? '',
  depth: ink?.depth ?? 'mid',
  kind: ink?.kind ?? 'hybrid',
  overWhite: ink?.overWhite ?? '',
  overBlack: ink?.overBlack ?? '',
  dryBack: ink?.dryBack === undefined ? '' : String(Math.round(ink.dryBack * 100)),
  potency: ink?.potency === undefined ? '' : String(ink.potency),
  brush: ink?.brush ?? '',
  note: ink?.note ?? '',
  wished: ink?.wished ?? false,
});

/** The fields as an ink; called when every field has passed its check. */
function inkFrom(fields: Fields, id: string): Ink {
  const overBlack = parseColour(fields.overBlack);
  const [line, note, brush] = [fields.line.trim(), fields.note.trim(), fields.brush.trim()];
  return {
    id,
    name: fields.name.trim(),
    family: fields.family.trim(),
    depth: fields.depth,
    kind: fields.kind,
    overWhite: parseColour(fields.overWhite) as Hex,
    ...(overBlack ? { overBlack } : {}),
    ...(fields.dryBack.trim() ? { dryBack: Number(fields.dryBack.replace(',', '.')) / 100 } : {}),
    ...(fields.potency.trim() ? { potency: Number(fields.potency.replace(',', '.')) } : {}),
    ...(brush ? { brush } : {}),
    ...(line ? { line } : {}),
    ...(note ? { note } : {}),
    ...(fields.wished ? { wished: true } : {}),
  };
}

/** A form for one ink, new or known. */
export function InkForm({ ink, families, onSave, onClose }: Props) {
  const { register, handleSubmit, watch, setValue, formState } = useForm<Fields>({
    defaultValues: fieldsOf(ink),
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
      onSubmit={handleSubmit((fields) => onSave(inkFrom(fields, ink?.id ?? crypto.randomUUID())))}
      onClose={onClose}
    >
      <FormInput label="Name" problem={errors.name?.message} {...register('name', NAME_RULE)} />
      <FormInput
        label="Maker’s line"
        problem={errors.line?.message}
        {...register('line', { maxLength: { value: 120, message: 'At most 120 letters.' } })}
      />
      <FormField label="Family" name="family" problem={errors.family?.message}>
        <input
          id="family"
          list="families"
          autoComplete="off"
          className={FIELD}
          {...register('family', {
            validate: (family) =>
              (family.trim() !== '' && family.trim().length <= 120) ||
              'Name the family: inks of one hue share a brush.',
          })}
        />
        <datalist id="families">
          {families.map((family) => (
            <option key={family} value={family} />
          ))}
        </datalist>
      </FormField>
      <div className="grid grid-cols-2 gap-3">
        <FormField label="Depth" name="depth" problem={errors.depth?.message}>
          <select id="depth" className={FIELD} {...register('depth')}>
            <option value="deep">deep</option>
            <option value="mid">mid</option>
            <option value="pale">pale</option>
          </select>
        </FormField>
        <FormField label="Kind" name="kind" problem={errors.kind?.message}>
          <select id="kind" className={FIELD} {...register('kind')}>
            {INK_KIND_IDS.map((id) => (
              <option key={id} value={id}>
                {INK_KINDS[id].label}
              </option>
            ))}
          </select>
        </FormField>
      </div>
      <FormField label="Colour over white, dried" name="overWhite" problem={errors.overWhite?.message}>
        <ColourInput
          colour={white}
          onRead={(hex) => setValue('overWhite', hex, { shouldDirty: true, shouldValidate: true })}
        >
          <input
            id="overWhite"
            autoComplete="off"
            className={FIELD}
            {...register('overWhite', COLOUR_RULE)}
          />
        </ColourInput>
      </FormField>
      <FormField label="Colour over black, if read" name="overBlack" problem={errors.overBlack?.message}>
        <ColourInput
          colour={black}
          onRead={(hex) => setValue('overBlack', hex, { shouldDirty: true, shouldValidate: true })}
        >
          <input
            id="overBlack"
            autoComplete="off"
            className={FIELD}
            {...register('overBlack', {
              validate: (text) => text.trim() === '' || parseColour(text) !== undefined || COLOUR_HELP,
            })}
          />
        </ColourInput>
      </FormField>
      <FormInput
        label="Dry-back, per cent"
        problem={errors.dryBack?.message}
        inputMode="decimal"
        placeholder={`${Math.round(INK_KINDS[kind].dryBack * 100)}, as its kind`}
        {...register('dryBack', {
          validate: (text) => {
            const per = Number(text.replace(',', '.'));
            return (Number.isFinite(per) && per >= 0 && per <= 90) || 'Type 0 to 90, or leave it empty.';
          },
        })}
      />
      <p className="self-end text-mute">{hidingOf(white, black)}</p>
      <FormInput
        label="Potency beside other inks"
        problem={errors.potency?.message}
        inputMode="decimal"
        placeholder="1; more where it overpowers"
        {...register('potency', {
          validate: (text) => {
            const times = Number(text.replace(',', '.'));
            const { least, most } = POTENCY_LIMITS;
            return (
              text.trim() === '' ||
              (times >= least && times <= most) ||
              `Type ${least} to ${most}, or leave it empty.`
            );
          },
        })}
      />
      <FormInput
        label="Written on its brush"
        problem={errors.brush?.message}
        {...register('brush', { maxLength: { value: 60, message: 'At most 60 letters.' } })}
      />
      <div className="sm:col-span-2">
        <FormField label="Note" name="note" problem={errors.note?.message}>
          <textarea
            id="note"
            rows={2}
            className={FIELD}
            {...register('note', { maxLength: { value: 2000, message: 'At most 2,000 letters.' } })}
          />
        </FormField>
      </div>
      <label className="flex items-center gap-2">
        <input type="checkbox" className="size-4 accent-(--strong)" {...register('wished')} />
        Wished for, not owned yet
      </label>
    </FormDialog>
  );
}

/** The contrast ratio in words, once both swatches are there. */
function hidingOf(white: Hex | undefined, black: Hex | undefined): string {
  if (!white || !black)
    return 'With a swatch over black, how well it hides is solved instead of taken from its kind.';
  const ratio = contrastRatio(white, black);
  const hides = ratio > 0.9 ? 'hides' : ratio > 0.4 ? 'half hides' : 'is clear';
  return `Contrast ratio ${(100 * Math.min(ratio, 1)).toFixed(0)} %: it ${hides}.`;
}
