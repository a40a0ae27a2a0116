import { useState } from 'react';
import { useNavigate } from 'react-router';
import { today } from '../../app/log/useLogActions';
import { useOnce } from '../../app/once';
import { useDatabase, useShelf } from '../../app/session';
import { cleanName } from '../../core/base/names';
import { MADE_LIMITS } from '../../core/keep/log/made';
import { logPanel } from '../../data/panels';
import { FormDialog } from '../../ui/FormDialog';
import { FIELD, FormField, FormInput } from '../../ui/FormField';

/** A panel that was made without the application: what is still known of it. */
export function LogForm({ onClose }: { readonly onClose: () => void }) {
  const db = useDatabase();
  const shelf = useShelf();
  const navigate = useNavigate();
  const [fields, setFields] = useState({ name: '', date: today(), inks: '', occasion: '', note: '' });
  const [problem, setProblem] = useState<string>();
  const set = (part: Partial<typeof fields>) => setFields((now) => ({ ...now, ...part }));
  const keep = useOnce(async () => {
    const name = cleanName(fields.name);
    const inkNames = fields.inks.split(',').map(cleanName).filter(Boolean);
    if (name === '' || name.length > MADE_LIMITS.name) return setProblem('A name has 1 to 120 letters.');
    if (inkNames.length > MADE_LIMITS.inks) return setProblem(`Name at most ${MADE_LIMITS.inks} inks.`);
    const panel = await logPanel(db, {
      name,
      date: fields.date || today(),
      readings: [],
      ...(inkNames.length > 0 ? { inkNames } : {}),
      ...(fields.occasion.trim() ? { occasion: fields.occasion.trim().slice(0, MADE_LIMITS.occasion) } : {}),
      ...(fields.note.trim() ? { note: fields.note.trim().slice(0, MADE_LIMITS.note) } : {}),
    });
    onClose();
    navigate(`/log/${panel.id}`);
  });
  return (
    <FormDialog
      title="A panel made without a recipe"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
      onClose={onClose}
    >
      <FormInput
        label="What it is called"
        name="name"
        problem={problem}
        value={fields.name}
        onChange={({ target }) => set({ name: target.value })}
      />
      <FormInput
        label="Made on"
        name="date"
        type="date"
        max={today()}
        value={fields.date}
        onChange={({ target }) => set({ date: target.value })}
      />
      <div className="sm:col-span-2">
        <FormInput
          label="Inks in order, with commas between"
          name="inks"
          list="ink-names"
          placeholder="Gorse Pale, Leat Mid, Skerry Deep"
          value={fields.inks}
          onChange={({ target }) => set({ inks: target.value })}
        />
        <datalist id="ink-names">
          {shelf?.inks.map(({ id, name }) => (
            <option key={id} value={name} />
          ))}
        </datalist>
      </div>
      <div className="sm:col-span-2">
        <FormInput
          label="Who it was for, or where it went"
          name="occasion"
          value={fields.occasion}
          onChange={({ target }) => set({ occasion: target.value })}
        />
      </div>
      <div className="sm:col-span-2">
        <FormField label="Note" name="note">
          <textarea
            id="note"
            rows={3}
            className={FIELD}
            value={fields.note}
            onChange={({ target }) => set({ note: target.value })}
          />
        </FormField>
      </div>
    </FormDialog>
  );
}
