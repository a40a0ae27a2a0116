import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ChevronDown, ChevronRight, GripVertical } from 'lucide-react';
import type { KeyboardEvent } from 'react';
import type { Shelf } from '../../../app/session';
import type { Edit } from '../../../app/useBench';
import { unbroken } from '../../../core/base/words';
import { describePassReading, type PassReading } from '../../../core/readings/passReadings';
import { enablePass, movePass, removePass } from '../../../core/recipe/editPasses';
import { type Pass, passName } from '../../../core/recipe/passes/passes';
import { contextsOf, designOf, type ResolvedRecipe } from '../../../core/recipe/resolved';
import { Button } from '../../../ui/Button';
import { Checkbox } from '../../../ui/Checkbox';
import { InkDot } from '../../../ui/InkDot';
import { PassFields } from './PassFields';

interface Props {
  readonly pass: Pass;
  readonly resolved: ResolvedRecipe;
  readonly shelf: Shelf;
  readonly reading: PassReading | undefined;
  readonly index: number;
  readonly open: boolean;
  readonly edit: Edit;
  readonly onOpen: (open: boolean) => void;
  readonly onCompare: () => void;
}

/** One pass in the list: what it is, whether it is on, what it does; opened, its design, inks and numbers. */
export function PassRow({ pass, resolved, shelf, reading, index, open, edit, onOpen, onCompare }: Props) {
  const label = passName(resolved.recipe.passes, pass);
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } =
    useSortable({ id: pass.id });
  const inks = [...new Set(contextsOf(resolved, pass).flatMap(({ ink }) => ink ?? []))];
  const design = designOf(resolved, pass);
  const Sign = open ? ChevronDown : ChevronRight;
  const onKeyDown = (event: KeyboardEvent) => {
    const way = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
    if (!event.altKey || way === 0) return;
    event.preventDefault();
    edit((recipe) => movePass(recipe, pass.id, index + way));
  };
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`border border-line bg-sheet ${isDragging ? 'relative z-20 shadow-lg' : ''} ${open ? 'border-text' : ''}`}
    >
      <div className="flex items-center gap-1 px-1 py-1">
        <button
          type="button"
          ref={setActivatorNodeRef}
          {...attributes}
          {...listeners}
          aria-label={`Move ${label}`}
          title="Drag to change the order of work"
          className="flex size-6 shrink-0 cursor-grab touch-none items-center justify-center text-mute hover:text-text"
        >
          <GripVertical size={15} aria-hidden="true" />
        </button>
        <Checkbox
          checked={pass.enabled}
          aria-label={`${label} on`}
          title={pass.enabled ? 'On: press to leave it out' : 'Left out: press to lay it'}
          onChange={({ target }) => edit((recipe) => enablePass(recipe, pass.id, target.checked))}
        />
        <button
          type="button"
          aria-expanded={open}
          onClick={() => onOpen(!open)}
          onKeyDown={onKeyDown}
          title="Press to open; Alt and an arrow key move it"
          className="flex min-w-0 flex-1 items-center gap-1.5 px-1 text-left"
        >
          <span className="min-w-0 flex-1">
            <span className={`block truncate font-semibold ${pass.enabled ? '' : 'text-mute line-through'}`}>
              {label}
              {design && <span className="font-normal text-mute"> · {design.name}</span>}
            </span>
            <span className="block text-small leading-snug text-mute">
              {!pass.enabled
                ? 'left out'
                : reading
                  ? unbroken(describePassReading(pass, reading))
                  : 'reading …'}
            </span>
          </span>
          {inks.map((ink) => (
            <InkDot key={ink.id} ink={ink} className="size-3.5" />
          ))}
          <Sign size={15} aria-hidden="true" className="shrink-0" />
        </button>
        <Button
          look="bare"
          aria-label={`Take ${label} off`}
          onClick={() => edit((recipe) => removePass(recipe, pass.id))}
        >
          ×
        </Button>
      </div>
      {open && <PassFields {...{ pass, panel: resolved.recipe.panel, shelf, edit, onCompare }} />}
    </li>
  );
}
