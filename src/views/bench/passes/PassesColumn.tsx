import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { useMemo, useState } from 'react';
import type { Shelf } from '../../../app/session';
import type { Edit } from '../../../app/useBench';
import type { PassReading } from '../../../core/readings/passReadings';
import { movePass } from '../../../core/recipe/editPasses';
import {
  PASS_KIND_IDS,
  PASS_KINDS,
  PASS_LIMITS,
  type PassKindId,
  passName,
} from '../../../core/recipe/passes/passes';
import type { ResolvedRecipe } from '../../../core/recipe/resolved';
import { Menu } from '../../../ui/Menu';
import { PassRow } from './PassRow';
import { SideBySide } from './SideBySide';

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly shelf: Shelf;
  readonly readings: readonly PassReading[];
  readonly edit: Edit;
  readonly selected: string | undefined;
  readonly onSelect: (id: string | undefined) => void;
  readonly onAdd: (kind: PassKindId) => void;
}

/** The passes in the order of work, the blend among them: switched on and off, moved, opened for their numbers. */
export function PassesColumn({ resolved, shelf, readings, edit, selected, onSelect, onAdd }: Props) {
  const { passes } = resolved.recipe;
  const [compared, setCompared] = useState<string>();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = useMemo(() => passes.map(({ id }) => id), [passes]);
  const blendAt = passes.filter(({ kind }) => PASS_KINDS[kind].stage === 'under').length;
  const full = passes.length >= PASS_LIMITS.passes;
  const labelOf = (id: string | number) => {
    const pass = passes.find((one) => one.id === id);
    return pass ? passName(passes, pass) : '';
  };
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (over) edit((recipe) => movePass(recipe, String(active.id), ids.indexOf(String(over.id))));
  };
  const rows = (from: number, to: number) =>
    passes
      .slice(from, to)
      .map((pass, i) => (
        <PassRow
          key={pass.id}
          pass={pass}
          resolved={resolved}
          shelf={shelf}
          reading={readings.find(({ id }) => id === pass.id)}
          index={from + i}
          open={pass.id === selected}
          edit={edit}
          onOpen={(open) => onSelect(open ? pass.id : undefined)}
          onCompare={() => setCompared(pass.id)}
        />
      ));
  return (
    <section aria-label="Passes" className="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto p-4">
      <header className="space-y-2">
        <h2 className="heading text-lead">Passes, in the order of work</h2>
        <div className="flex flex-wrap gap-2">
          <AddMenu stage="under" label="Add before the blend" full={full} onAdd={onAdd} />
          <AddMenu stage="over" label="Add over it" full={full} onAdd={onAdd} />
        </div>
        {full && <p role="status">A recipe holds at most {PASS_LIMITS.passes} passes.</p>}
      </header>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={onDragEnd}
        accessibility={{
          announcements: {
            onDragStart: ({ active }) => `${labelOf(active.id)} taken up.`,
            onDragOver: ({ active, over }) =>
              over ? `${labelOf(active.id)} is over ${labelOf(over.id)}.` : undefined,
            onDragEnd: ({ active }) => `${labelOf(active.id)} put down.`,
            onDragCancel: ({ active }) => `${labelOf(active.id)} is back where it was.`,
          },
        }}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <ol className="space-y-1.5">
            {rows(0, blendAt)}
            <li className="flex items-center gap-2 border-y-2 border-text px-2 py-1.5">
              <span className="heading">The blend</span>
              <span className="min-w-0 flex-1 truncate text-mute">
                {resolved.inks.map(({ name }) => name).join(', ')}
              </span>
            </li>
            {rows(blendAt, passes.length)}
          </ol>
        </SortableContext>
      </DndContext>
      {passes.length === 0 && (
        <p className="text-mute">
          Nothing but the blend yet. Lay a white base or a mask before it, or a resist, a stencil, a
          silhouette over it; drag passes to change the order of work.
        </p>
      )}
      {compared !== undefined && passes.some(({ id }) => id === compared) && (
        <SideBySide resolved={resolved} passId={compared} onClose={() => setCompared(undefined)} />
      )}
    </section>
  );
}

interface AddMenuProps {
  readonly stage: 'under' | 'over';
  readonly label: string;
  readonly full: boolean;
  readonly onAdd: (kind: PassKindId) => void;
}

const AddMenu = ({ stage, label, full, onAdd }: AddMenuProps) => (
  <Menu
    items={PASS_KIND_IDS.filter((id) => PASS_KINDS[id].stage === stage).map((id) => ({
      label: PASS_KINDS[id].label,
      hint: PASS_KINDS[id].description,
      disabled: full,
      onSelect: () => onAdd(id),
    }))}
  >
    {label}
  </Menu>
);
