import { lazy, Suspense, useMemo, useRef } from 'react';
import { afterFirstPicture } from '../../app/panel/firstPicture';
import { PanelPicture } from '../../app/panel/PanelPicture';
import type { Edit } from '../../app/useBench';
import { useSize } from '../../app/useSize';
import type { Unit } from '../../core/base/length';
import type { Wetness } from '../../core/engine/mixing';
import type { Card } from '../../core/materials/card/card';
import { bandsOf } from '../../core/recipe/recipe';
import { otherCard, type ResolvedRecipe } from '../../core/recipe/resolved';
import { RUNS } from '../../core/recipe/runs/runs';
import { Button } from '../../ui/Button';
import { besideText } from '../../ui/besideText';
import { readyForDragging } from '../../workers/client';
import { type Look, WHOLE, ZOOMS } from './look';
import { Rule, ruleWidth } from './Rule';
import { usePan } from './usePan';

const Marks = lazy(afterFirstPicture(() => import('./Marks').then((m) => ({ default: m.Marks }))));
const Loupe = lazy(() => import('./Loupe').then((m) => ({ default: m.Loupe })));
const PanelHandles = lazy(
  afterFirstPicture(() => import('./PanelHandles').then((m) => ({ default: m.PanelHandles }))),
);
const Traces = lazy(afterFirstPicture(() => import('./Traces').then((m) => ({ default: m.Traces }))));
const PassHandles = lazy(() => import('./passes/PassHandles').then((m) => ({ default: m.PassHandles })));
const PatchLabels = lazy(() => import('./PatchLabels').then((m) => ({ default: m.PatchLabels })));

interface Props {
  readonly resolved: ResolvedRecipe;
  readonly unit: Unit;
  readonly wetness: Wetness;
  readonly edit: Edit;
  readonly onDone: () => void;
  /** The pass in hand, by its id. */
  readonly selected: string | undefined;
  readonly look: Look;
  readonly onLook: (change: Partial<Look>) => void;
}

/** Between the rule and the panel, px. */
const RULE_GAP = 8;
/** Room for the marks on its right, by how wide the whole is, px; figures are those of usual text. */
const marksSide = (room: number): number =>
  besideText(room < besideText(NARROW) ? 124 : room < besideText(820) ? 250 : 320);
/** Below this width, px of usual text, the panel takes the width it gets and is as high as it must be. */
const NARROW = 560;

/** The panel on the mat at its true proportions, with a rule, its marks and its handles. */
export function PanelBoard(props: Props) {
  const { resolved, unit, wetness, edit, onDone, selected, look, onLook } = props;
  const { zoom, loupe } = look;
  const box = useRef<HTMLDivElement>(null);
  const board = useRef<HTMLDivElement>(null);
  const room = useSize(box);
  const pan = usePan(box);
  const { panel, passes } = resolved.recipe;
  const other = otherCard(resolved);
  const inHand = passes.find(({ id, enabled }) => enabled && id === selected);
  const [ruleSide, side] = [ruleWidth() + RULE_GAP, marksSide(room.width)];
  const narrow = room.width > 0 && room.width < besideText(NARROW);
  const byWidth = (room.width - ruleSide - side) / panel.width;
  const fitting = narrow ? byWidth : Math.min(byWidth, (room.height - 26) / panel.height);
  const scale = fitting * (ZOOMS[zoom] ?? 1);
  const [width, height] = [panel.width, panel.height].map((mm) => Math.max(Math.round(mm * scale), 0)) as [
    number,
    number,
  ];
  const bands = useMemo(() => bandsOf(resolved.recipe), [resolved.recipe]);
  const inkNames = resolved.inks.map(({ name }) => name).join(', ');
  return (
    <div
      className="relative flex min-h-96 min-w-0 flex-1 flex-col lg:min-h-72"
      style={narrow ? { minHeight: 0, flex: 'none' } : undefined}
    >
      <div
        ref={box}
        data-tour="panel"
        onPointerEnter={readyForDragging}
        {...(zoom > 0 ? pan : {})}
        style={narrow ? { minHeight: height + 16 } : undefined}
        // Beside it stands the same panel on another card, where two are laid at once.
        className={`min-h-0 flex-1 contain-size print:flex-none print:overflow-visible print:contain-none ${zoom > 0 ? 'cursor-grab overflow-auto select-none active:cursor-grabbing' : 'overflow-hidden'} ${other ? 'sm:mr-30' : ''}`}
      >
        {width > 0 && (
          <div className={`flex pt-1 ${zoom > 0 ? '' : 'justify-center'}`}>
            <div className="flex shrink-0" style={{ width: ruleSide + width + side }}>
              <div style={{ width: ruleSide }}>
                <Rule length={panel.height} unit={unit} height={height} />
              </div>
              <div
                ref={board}
                className="group/board relative shrink-0 shadow-[0_1px_3px_#0006,0_8px_18px_-8px_#0006]"
                style={{ width, height }}
              >
                <PanelPicture
                  isInHand
                  resolved={resolved}
                  wetness={wetness}
                  width={width}
                  height={height}
                  label={`The panel ${wetness === 'wet' ? 'wet' : 'dried'}, ${RUNS[resolved.recipe.run.id].label.toLowerCase()}: ${inkNames}`}
                />
                <Suspense fallback={null}>
                  <Traces {...{ resolved, bands, unit, selected }} />
                  <PanelHandles {...{ resolved, unit, board, edit, onDone }} />
                </Suspense>
                {inHand && (
                  <Suspense fallback={null}>
                    <PassHandles {...{ resolved, unit, board, edit, onDone }} pass={inHand} />
                  </Suspense>
                )}
                {loupe && (
                  <Suspense fallback={null}>
                    <Loupe {...{ resolved, unit, board }} />
                  </Suspense>
                )}
              </div>
              {bands ? (
                <Suspense fallback={null}>
                  <Marks {...{ resolved, bands, unit, width, height, narrow, board, edit, onDone }} />
                </Suspense>
              ) : (
                <Suspense fallback={null}>
                  <PatchLabels resolved={resolved} unit={unit} height={height} />
                </Suspense>
              )}
            </div>
          </div>
        )}
      </div>
      {other && <OtherBase resolved={resolved} card={other} wetness={wetness} />}
      {(zoom > 0 || loupe) && (
        <Button
          className="absolute bottom-3 left-3 max-sm:static max-sm:m-3 max-sm:self-start"
          onClick={() => onLook(WHOLE)}
        >
          {loupe ? 'Put the loupe away' : 'The whole panel'}
        </Button>
      )}
    </div>
  );
}

/** The width of the second picture, px. */
const SECOND = 96;

/** The same panel on the card that is laid with it. */
function OtherBase({
  resolved,
  card,
  wetness,
}: Pick<Props, 'resolved' | 'wetness'> & { readonly card: Card }) {
  const other = useMemo(() => ({ ...resolved, card }), [resolved, card]);
  const { panel } = resolved.recipe;
  return (
    <figure className="absolute right-3 bottom-3 text-small text-mute max-sm:static max-sm:px-3 max-sm:pt-2">
      <PanelPicture
        resolved={other}
        wetness={wetness}
        width={SECOND}
        height={Math.round((SECOND * panel.height) / panel.width)}
        label={`The panel on ${card.name}`}
      />
      <figcaption className="mt-1 w-24 leading-tight max-sm:w-auto">and on {card.name}</figcaption>
    </figure>
  );
}
