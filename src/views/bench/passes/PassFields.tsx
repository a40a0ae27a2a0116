import { useMemo, useState } from 'react';
import { InkChoice } from '../../../app/InkChoice';
import { ParamFields } from '../../../app/ParamFields';
import type { Shelf } from '../../../app/session';
import type { Edit } from '../../../app/useBench';
import type { Size } from '../../../core/base/geometry';
import type { ParamSpecs } from '../../../core/base/params';
import { capitalised } from '../../../core/base/words';
import { DESIGN_USES, type DesignUse } from '../../../core/materials/design/design';
import type { Ink } from '../../../core/materials/ink/ink';
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

/** What a pass is laid with: its design, and of each placement the ink and the few numbers that matter; the rest unfolds. */
export function PassFields({ pass, panel, shelf, edit, onCompare }: Props) {
  const kind = PASS_KINDS[pass.kind];
  const { noun, max } = kind.placements;
  const placements = placementsOf(pass);
  const [more, setMore] = useState(false);
  const inks = useMemo(
    () => (kind.ink ? shelf.inks.filter((ink) => kind.ink && inkSuits(kind.ink, ink)) : []),
    [shelf.inks, kind.ink],
  );
  const few = useMemo(() => sorted(kind.params, false), [kind.params]);
  const rest = useMemo(() => sorted(kind.params, true), [kind.params]);
  const hasMore = Object.keys(rest).length > 0;
  const shared = { pass, panel, inks, edit };
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
      {placements.length > 1 ? (
        <PlacementTable {...shared} few={few} rest={more ? rest : {}} />
      ) : (
        placements.map((placement) => (
          <div key={placement.id} className="flex flex-wrap items-center gap-x-3 gap-y-1.5">
            {kind.ink && (
              <span className="w-44">
                <PlacementInk {...shared} placement={placement} label={kind.label} />
              </span>
            )}
            <PlacementParams
              {...shared}
              placement={placement}
              label={kind.label}
              specs={more ? kind.params : few}
            />
          </div>
        ))
      )}
      <p className="flex flex-wrap gap-x-2 gap-y-1">
        {max > 1 && (
          <Button
            disabled={placements.length >= max}
            onClick={() => edit((recipe) => addPlacement(recipe, pass.id))}
          >
            One more {noun}
          </Button>
        )}
        {hasMore && (
          <Button look="bare" aria-expanded={more} onClick={() => setMore(!more)}>
            {more ? 'Less' : 'More'}
          </Button>
        )}
        <Button look="bare" disabled={!pass.enabled} onClick={onCompare}>
          With and without
        </Button>
      </p>
    </div>
  );
}

/** Those that are seldom changed, or the others. */
const sorted = (specs: ParamSpecs, isSeldom: boolean): ParamSpecs =>
  Object.fromEntries(Object.entries(specs).filter(([, { seldom = false }]) => seldom === isSeldom));

type Placement = ReturnType<typeof placementsOf>[number];

interface PartProps extends Pick<Props, 'pass' | 'panel' | 'edit'> {
  readonly inks: readonly Ink[];
  readonly placement: Placement;
  /** What is changed, in words. */
  readonly label: string;
}

const PlacementInk = ({ pass, inks, edit, placement, label }: PartProps) => (
  <InkChoice
    label={`Ink of ${label.charAt(0).toLowerCase()}${label.slice(1)}`}
    inks={inks}
    value={placement.inkId ?? ''}
    onChange={(inkId) => edit((recipe) => setPlacement(recipe, pass.id, placement.id, { inkId }))}
  />
);

interface ParamsProps extends PartProps {
  readonly specs: ParamSpecs;
  readonly isBare?: boolean;
}

const PlacementParams = ({ pass, panel, edit, placement, label, specs, isBare = false }: ParamsProps) => (
  <ParamFields
    of={label}
    specs={specs}
    params={placement.params}
    panel={panel}
    isBare={isBare}
    onChange={(params, gesture) =>
      edit(
        (recipe) => setPlacement(recipe, pass.id, placement.id, { params }),
        gesture && `${pass.id} ${gesture}`,
      )
    }
  />
);

interface TableProps extends Omit<PartProps, 'placement' | 'label'> {
  readonly few: ParamSpecs;
  readonly rest: ParamSpecs;
}

/** Several placements, a row each, what they are measured by over the columns. */
function PlacementTable({ few, rest, ...shared }: TableProps) {
  const { pass, edit } = shared;
  const kind = PASS_KINDS[pass.kind];
  const { noun } = kind.placements;
  const columns = Object.entries({ ...few, ...rest });
  return (
    <section
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reachable by keyboard
      tabIndex={0}
      aria-label={`Every ${noun} of the ${kind.label.toLowerCase()}`}
      className="-mx-1 overflow-x-auto px-1 pb-1"
    >
      <table className="text-small">
        <thead>
          <tr className="text-left align-bottom text-mute">
            <th scope="col" className="pr-2 font-normal">
              {capitalised(noun)}
            </th>
            {kind.ink && (
              <th scope="col" className="pr-2 font-normal">
                Ink
              </th>
            )}
            {columns.map(([key, { label }]) => (
              <th key={key} scope="col" className="pr-2 leading-tight font-normal">
                {label}
              </th>
            ))}
            <th scope="col">
              <span className="sr-only">Off</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {placementsOf(pass).map((placement, i) => {
            const part = { ...shared, placement, label: `${kind.label}, ${noun} ${i + 1}` };
            return (
              <tr key={placement.id}>
                <th scope="row" className="pr-2 text-left">
                  {i + 1}
                </th>
                {kind.ink && (
                  <td className="w-32 min-w-28 py-0.5 pr-2">
                    <PlacementInk {...part} />
                  </td>
                )}
                {columns.map(([key, spec]) => (
                  <td key={key} className="py-0.5 pr-2">
                    <PlacementParams {...part} specs={{ [key]: spec }} isBare />
                  </td>
                ))}
                <td>
                  <Button
                    look="bare"
                    aria-label={`Take ${noun} ${i + 1} off`}
                    onClick={() => edit((recipe) => removePlacement(recipe, pass.id, placement.id))}
                  >
                    ×
                  </Button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
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
