import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { today } from '../../app/log/useLogActions';
import { useOnce } from '../../app/once';
import { schemaResolver } from '../../app/schemaResolver';
import { useDatabase, useShelf } from '../../app/session';
import { FIRST_DAY, handPanelSchema } from '../../core/files/madeSchema';
import { type HandFields, handFields, panelOfFields } from '../../core/keep/log/byHand';
import { MADE_LIMITS } from '../../core/keep/log/made';
import { INK_LIMITS } from '../../core/materials/ink/ink';
import { logPanel } from '../../data/panels';
import { tellDay } from '../../ui/dates';
import { FormDialog } from '../../ui/FormDialog';
import { FieldInput, FieldText, FormField, FormInput } from '../../ui/FormField';

/** What to type, where the schema of files has something against what is typed. */
const helpOn = (day: string) => ({
  name: `A name has 1 to ${MADE_LIMITS.name} letters.`,
  date: `Choose the day it was made, from 1970 to today, ${tellDay(day)}.`,
  inkNames: `At most ${MADE_LIMITS.inks} names of up to ${INK_LIMITS.name} letters, with commas between.`,
  occasion: `At most ${MADE_LIMITS.occasion} letters.`,
  note: `At most ${MADE_LIMITS.note.toLocaleString('en')} letters.`,
});

/** A panel that was made without the application: what is still known of it. */
export function LogForm({ onClose }: { readonly onClose: () => void }) {
  const db = useDatabase();
  const shelf = useShelf();
  const navigate = useNavigate();
  const [day] = useState(today);
  const { register, handleSubmit, formState } = useForm<HandFields>({
    defaultValues: handFields(day),
    resolver: schemaResolver<HandFields>(handPanelSchema(day), panelOfFields, helpOn(day)),
  });
  const { errors } = formState;
  const keep = useOnce(async (fields: HandFields) => {
    const panel = await logPanel(db, panelOfFields(fields));
    onClose();
    navigate(`/log/${panel.id}`);
  });
  return (
    <FormDialog title="A panel made without a recipe" onSubmit={handleSubmit(keep)} onClose={onClose}>
      <FormInput label="What it is called" problem={errors.name?.message} {...register('name')} />
      <FormInput
        label="Made on"
        type="date"
        min={FIRST_DAY}
        max={day}
        problem={errors.date?.message}
        {...register('date')}
      />
      <div className="sm:col-span-2">
        <FormField
          label="Inks in order, with commas between"
          name="inkNames"
          problem={errors.inkNames?.message}
        >
          <FieldInput
            list="ink-names"
            placeholder="Gorse Pale, Leat Mid, Skerry Deep"
            {...register('inkNames')}
          />
          <datalist id="ink-names">
            {shelf?.inks.map(({ id, name }) => (
              <option key={id} value={name} />
            ))}
          </datalist>
        </FormField>
      </div>
      <div className="sm:col-span-2">
        <FormInput
          label="Who it was for, or where it went"
          problem={errors.occasion?.message}
          {...register('occasion')}
        />
      </div>
      <div className="sm:col-span-2">
        <FormField label="Note" name="note" problem={errors.note?.message}>
          <FieldText rows={3} {...register('note')} />
        </FormField>
      </div>
    </FormDialog>
  );
}
