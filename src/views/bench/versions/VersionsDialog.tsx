import { useLiveQuery } from 'dexie-react-hooks';
import { Dialog } from 'radix-ui';
import { type FormEvent, useState } from 'react';
import { PanelPicture } from '../../../app/panel/PanelPicture';
import { type Shelf, useDatabase } from '../../../app/session';
import { useEdit } from '../../../app/useBench';
import type { ResolvedRecipe } from '../../../core/recipe/resolved';
import { resolveAnyway } from '../../../core/recipe/resolved';
import type { VersionRecord } from '../../../data/records';
import { listVersions, nameVersion, removeVersion, restoreVersion } from '../../../data/versions';
import { Button } from '../../../ui/Button';
import { Checkbox } from '../../../ui/Checkbox';
import { Modal } from '../../../ui/Modal';
import { useNotify } from '../../../ui/Notices';
import { Comparison } from './Comparison';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly shelf: Shelf;
  readonly onClose: () => void;
}

/** Named states of the recipe on the bench: to name one, to go back to one, to hold one against another. */
export default function VersionsDialog({ resolved, shelf, onClose }: Props) {
  const db = useDatabase();
  const notify = useNotify();
  const { edit } = useEdit();
  const { recipe } = resolved;
  const versions = useLiveQuery(() => listVersions(db, recipe.id), [db, recipe.id]);
  const [against, setAgainst] = useState<readonly string[]>([]);
  const name = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = event.currentTarget;
    const text = String(new FormData(form).get('name') ?? '').trim();
    if (text === '') return;
    await nameVersion(db, recipe, text);
    form.reset();
  };
  const drop = async (version: VersionRecord) => {
    await removeVersion(db, version.id);
    notify({ text: `“${version.name}” is deleted.`, undo: () => void restoreVersion(db, version) });
  };
  const goBack = (version: VersionRecord) => {
    edit((current) => ({ ...version.recipe, id: current.id, name: current.name }));
    notify({ text: `The bench is back at “${version.name}”. Ctrl+Z undoes it.` });
    onClose();
  };
  const choose = (id: string) =>
    setAgainst((now) => (now.includes(id) ? now.filter((other) => other !== id) : [...now, id].slice(-2)));
  const states = [{ id: 'now', name: 'As it stands now', resolved }].concat(
    (versions ?? []).flatMap((version) => {
      const whole = resolveAnyway(version.recipe, shelf);
      return whole ? [{ id: version.id, name: version.name, resolved: whole }] : [];
    }),
  );
  const compared = states.filter(({ id }) => against.includes(id));
  return (
    <Modal lies="page" className="flex flex-col gap-4" described onClose={onClose}>
      <header className="flex flex-wrap items-center gap-3">
        <Dialog.Title className="heading mr-auto text-lg">Versions of {recipe.name}</Dialog.Title>
        <Dialog.Close asChild>
          <Button>Close</Button>
        </Dialog.Close>
      </header>
      <Dialog.Description className="text-mute">
        Name the recipe as it stands, go back to a state that has a name, or tick two to hold them against
        each other.
      </Dialog.Description>
      <form onSubmit={name} className="flex flex-wrap gap-2">
        <input
          name="name"
          aria-label="Name for the recipe as it stands"
          placeholder="Before the blue"
          maxLength={80}
          autoComplete="off"
          className="frame min-h-7 w-64 px-2 placeholder:text-mute"
        />
        <Button look="strong" type="submit">
          Name this state
        </Button>
      </form>
      <ul aria-label="States" className="flex flex-wrap gap-4">
        {states.map((state) => {
          const version = versions?.find(({ id }) => id === state.id);
          return (
            <li key={state.id} className="w-38 bg-pane p-3">
              <Thumb resolved={state.resolved} />
              <p className="mt-1 truncate font-semibold" title={state.name}>
                {state.name}
              </p>
              <Checkbox
                label="compare"
                checked={against.includes(state.id)}
                onChange={() => choose(state.id)}
              />
              {version && (
                <div className="mt-1 flex gap-1">
                  <Button onClick={() => goBack(version)}>Go back to it</Button>
                  <Button
                    look="bare"
                    aria-label={`Delete ${version.name}`}
                    onClick={() => void drop(version)}
                  >
                    ×
                  </Button>
                </div>
              )}
            </li>
          );
        })}
      </ul>
      {versions?.length === 0 && <p>No state has a name yet.</p>}
      {versions && versions.length > states.length - 1 && (
        <p>
          {versions.length - (states.length - 1)} more cannot be shown: an ink, a design or a card of theirs
          is no longer on the shelf.
        </p>
      )}
      {compared[0] && compared[1] && <Comparison one={compared[0]} other={compared[1]} />}
    </Modal>
  );
}

const HEIGHT = 130;

function Thumb({ resolved }: { readonly resolved: ResolvedRecipe }) {
  const { panel, name } = resolved.recipe;
  const width = Math.min(Math.round((HEIGHT * panel.width) / panel.height), 128);
  const height = Math.round((width * panel.height) / panel.width);
  return (
    <div className="relative mx-auto" style={{ width, height }}>
      <PanelPicture
        resolved={resolved}
        wetness="dry"
        width={width}
        height={height}
        label={`Panel of ${name}`}
      />
    </div>
  );
}
