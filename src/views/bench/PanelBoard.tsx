import { useRef } from 'react';
import type { Wetness } from '../../core/ink/laid';
import type { Kit } from '../../core/ladder/recipe';
import { formatBare, type Unit } from '../../core/panel/measure';
import { PanelPicture } from '../panel/PanelPicture';
import { Marks } from './Marks';
import { Rule } from './Rule';
import type { Edit } from './useBench';
import { useSize } from './useSize';

interface Props {
  readonly kit: Kit;
  readonly unit: Unit;
  readonly wetness: Wetness;
  readonly edit: Edit;
  readonly onDone: () => void;
}

/** Room for the rule on the panel's left, px. */
const RULE_SIDE = 52;
/** Room for the marks on its right, by how wide the whole is, px. */
const marksSide = (room: number): number => (room < NARROW ? 124 : room < 820 ? 250 : 320);
/** Below this width, px, the panel takes the width it gets and is as high as it must be. */
const NARROW = 560;

/** The panel on the mat at its true proportions, with a rule and its marks. */
export function PanelBoard({ kit, unit, wetness, edit, onDone }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const board = useRef<HTMLDivElement>(null);
  const room = useSize(box);
  const { panel } = kit.recipe;
  const side = marksSide(room.width);
  const narrow = room.width > 0 && room.width < NARROW;
  const byWidth = (room.width - RULE_SIDE - side) / panel.width;
  const scale = narrow ? byWidth : Math.min(byWidth, (room.height - 34) / panel.height);
  const [width, height] = [panel.width, panel.height].map((mm) => Math.max(Math.round(mm * scale), 0)) as [
    number,
    number,
  ];
  const inkNames = kit.inks.map(({ name }) => name).join(', ');
  return (
    <div
      ref={box}
      className="relative min-h-96 min-w-0 flex-1 overflow-hidden"
      style={narrow ? { minHeight: height + 40, flex: 'none' } : undefined}
    >
      {width > 0 && (
        <div className="flex justify-center pt-1">
          <div className="flex" style={{ width: RULE_SIDE + width + side }}>
            <div className="pr-2" style={{ width: RULE_SIDE }}>
              <Rule length={panel.height} unit={unit} height={height} />
            </div>
            <div
              ref={board}
              className="relative shrink-0 shadow-[0_1px_3px_#0006,0_8px_18px_-8px_#0006]"
              style={{ width, height }}
            >
              <PanelPicture
                kit={kit}
                wetness={wetness}
                width={width}
                height={height}
                label={`The panel ${wetness === 'wet' ? 'wet' : 'dried'}, from the top: ${inkNames}`}
              />
            </div>
            <Marks {...{ kit, unit, height, narrow, board, edit, onDone }} />
          </div>
        </div>
      )}
      <p className="absolute bottom-1 w-full text-center text-mute">
        {formatBare(panel.width, unit)} × {formatBare(panel.height, unit)} {unit} · {kit.card.name} ·{' '}
        {wetness === 'wet' ? 'wet, as under the brush' : 'dried'}
      </p>
    </div>
  );
}
