import { useMemo } from 'react';
import { InkChoice } from '../../../app/InkChoice';
import { ParamFields } from '../../../app/ParamFields';
import type { Shelf } from '../../../app/session';
import type { Edit } from '../../../app/useBench';
import type { Size } from '../../../core/base/geometry';
import { capitalised } from '../../../core/base/words';
import { DESIGN_USES, type DesignUse } from '../../../core/materials/design/design';
import { addPlacement, removePlacement, setPassDesign, setPlacement } from '../../../core/recipe/editPasses';
import { inkSuits } from '../../../core/recipe/passes/definition';
import { PASS_KINDS, type Pass, placementsOf } from '../../../core/recipe/passes/passes';
import { Button } from '../../../ui/Button';
import { Select } from '../../../ui/Select';

interface Props {
  readonly pass: Pass;
  readonly panel: Size;
  readonly shelf: Shelf;
  readonly edit: Edit;
  readonly onCompare: () => void;
}

/** What a pass is laid with: its design, and of each placement the ink and the numbers. */
export function PassFields({ pass, panel, shelf, edit, onCompare }: Props) {
  const kind = PASS_KINDS[pass.kind];
  const { noun, max } = kind.placements;
  const placements = placementsOf(pass);
  const several = placements.length > 1;
  const inks = useMemo(
    () => (kind.ink ? shelf.inks.filter((ink) => kind.ink && inkSuits(kind.ink, ink)) : []),
    [shelf.inks, kind.ink],
  );
  return (
    <div className="space-y-2.5 border-t border-line px-2.5 py-2">
      <p className="text-small leading-snug text-mute">{kind.description}</p>
      {kind.design && (
        <DesignSelect
          pass={pass}
          label={kind.label}
          use={kind.design.use}
          optional={kind.design.optional ?? false}
          shelf={shelf}
          edit={edit}
        />
      )}
      {placements.map(({ id, inkId, params }, i) => (
        <fieldset
          key={id}
          className={`flex flex-wrap items-center gap-x-3 gap-y-1.5 ${several ? 'border-l-2 border-text pl-2' : ''}`}
        >
          <legend className={several ? 'float-left w-full font-semibold' : 'sr-only'}>
            {several ? `${capitalised(noun)} ${i + 1}` : kind.label}
          </legend>
          {kind.ink && (
            <span className="w-44">
              <InkChoice
                label={`Ink of ${kind.label.toLowerCase()}${several ? `, ${noun} ${i + 1}` : ''}`}
                inks={inks}
                value={inkId ?? ''}
                onChange={(next) => edit((recipe) => setPlacement(recipe, pass.id, id, { inkId: next }))}
              />
            </span>
          )}
          <ParamFields
            of={several ? `${kind.label}, ${noun} ${i + 1}` : kind.label}
            specs={kind.params}
            params={params}
            panel={panel}
            onChange={(next, gesture) =>
              edit(
                (recipe) => setPlacement(recipe, pass.id, id, { params: next }),
                gesture && `${pass.id} ${gesture}`,
              )
            }
          />
          {several && (
            <Button onClick={() => edit((recipe) => removePlacement(recipe, pass.id, id))}>
              Take {noun} {i + 1} off
            </Button>
          )}
        </fieldset>
      ))}
      <p className="flex flex-wrap gap-2">
        {max > 1 && (
          <Button
            disabled={placements.length >= max}
            onClick={() => edit((recipe) => addPlacement(recipe, pass.id))}
          >
            One more {noun}
          </Button>
        )}
        <Button disabled={!pass.enabled} onClick={onCompare}>
          With and without, side by side
        </Button>
      </p>
    </div>
  );
}

interface DesignSelectProps {
  readonly pass: Pass;
  readonly label: string;
  readonly use: DesignUse;
  readonly optional: boolean;
  readonly shelf: Shelf;
  readonly edit: Edit;
}

const USES: Readonly<Record<DesignUse, string>> = {
  image: 'Images',
  pattern: 'Patterns',
  edge: 'Edges',
};

/** One design, those meant for this sort of pass first. */
function DesignSelect({ pass, label, use, optional, shelf, edit }: DesignSelectProps) {
  const uses = [use, ...DESIGN_USES.filter((other) => other !== use)];
  return (
    <div className="flex items-center gap-1.5">
      <span className="text-mute">Design</span>
      <Select
        label={`Design of ${label.toLowerCase()}`}
        value={pass.designId ?? ''}
        options={[
          ...(optional ? [{ value: '', label: 'none: all over' }] : []),
          ...uses.map((one) => ({
            label: USES[one],
            options: shelf.designs
              .filter((design) => design.use === one)
              .map(({ id, name }) => ({ value: id, label: name })),
          })),
        ]}
        width="w-full"
        onChange={(chosen) => {
          const design = shelf.designs.find(({ id }) => id === chosen);
          edit((recipe) => setPassDesign(recipe, pass.id, design));
        }}
      />
    </div>
  );
}
