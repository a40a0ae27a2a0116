import { Command } from 'cmdk';
import { useLiveQuery } from 'dexie-react-hooks';
import { useNavigate } from 'react-router';
import { useAllCommands } from '../../app/commands';
import { useSession } from '../../app/session';
import { listRecipes } from '../../data/recipes';

const ITEM =
  'flex cursor-pointer items-center justify-between gap-4 rounded-[2px] px-3 py-1.5 data-[selected=true]:bg-strong data-[selected=true]:text-on-strong';
const GROUP =
  '[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-mute';

/** Everything that can be done or opened, by typing a part of its name. */
export default function Palette({ onClose }: { readonly onClose: () => void }) {
  const commands = useAllCommands();
  const { db } = useSession();
  const recipes = useLiveQuery(() => listRecipes(db), [db]);
  const navigate = useNavigate();
  const groups = [...new Set(commands.map(({ group }) => group))];
  const then = (act: () => void) => () => {
    onClose();
    act();
  };
  return (
    <Command.Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      label="Find anything"
      overlayClassName="fixed inset-0 z-40 bg-black/40"
      contentClassName="fixed top-[12vh] left-1/2 z-50 w-[min(34rem,94vw)] -translate-x-1/2 rounded-[3px] border border-line bg-sheet p-2 shadow-xl"
    >
      <Command.Input
        placeholder="Type what to do, or the name of a recipe"
        className="frame mb-2 min-h-10 w-full px-3 text-base placeholder:text-mute"
      />
      <Command.List className="max-h-[55vh] overflow-y-auto">
        <Command.Empty className="p-3">
          {recipes ? 'Nothing is called that.' : 'Reading your recipes …'}
        </Command.Empty>
        {groups.map((group) => (
          <Command.Group key={group} heading={group} className={GROUP}>
            {commands
              .filter((command) => command.group === group)
              .map(({ id, label, key, run }) => (
                <Command.Item key={id} value={`${group} ${label}`} onSelect={then(run)} className={ITEM}>
                  {label}
                  {key && <kbd className="font-sans opacity-75">{key}</kbd>}
                </Command.Item>
              ))}
          </Command.Group>
        ))}
        <Command.Group heading="Recipes" className={GROUP}>
          {recipes?.map(({ id, recipe }) => (
            <Command.Item
              key={id}
              value={`Recipe ${recipe.name} ${id}`}
              onSelect={then(() => navigate(`/bench/${id}`))}
              className={ITEM}
            >
              {recipe.name}
            </Command.Item>
          ))}
        </Command.Group>
      </Command.List>
    </Command.Dialog>
  );
}
