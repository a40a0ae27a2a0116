import { Star } from 'lucide-react';
import { Link } from 'react-router';
import { PanelImage } from '../../app/log/PanelImage';
import { TileWall } from '../../app/TileWall';
import { inkNamesOf, type MadePanel } from '../../core/keep/log/made';
import { TROUBLE_NAMES } from '../../core/keep/log/troubles';
import { tellDay } from '../../ui/dates';

/** Width a panel asks for, height it takes with what is said of it, and the room of its picture, px. */
const TILE = { width: 196, height: 296, picture: { width: 164, height: 200 } } as const;

/** Panels as they were made, side by side; only those in sight are drawn, so five thousand scroll like ten. */
export const PanelWall = ({ panels }: { readonly panels: readonly MadePanel[] }) => (
  <TileWall label="Panels made" items={panels} tile={TILE} className="border-t border-line pt-2">
    {(panel) => <PanelTile panel={panel} />}
  </TileWall>
);

function PanelTile({ panel }: { readonly panel: MadePanel }) {
  const troubles = panel.troubles ?? [];
  const inks = inkNamesOf(panel).join(', ');
  // A panel that goes by its inks need not be told them twice.
  const under = panel.name === inks ? (panel.made?.card.name ?? '') : inks;
  return (
    <Link to={`/log/${panel.id}`} className="flex h-full flex-col bg-pane p-3 hover:bg-field">
      <span aria-hidden="true" className="grid flex-1 place-items-center">
        <span className="block shadow-[0_1px_3px_#0006,0_6px_14px_-6px_#0006]">
          <PanelImage panel={panel} {...TILE.picture} />
        </span>
      </span>
      <span className="mt-2 flex items-baseline gap-2">
        <strong className="tabular-nums">No {panel.number}</strong>
        <span className="min-w-0 flex-1 truncate">{panel.name}</span>
        {panel.favourite && (
          <Star size={13} role="img" aria-label="best of its sitting" fill="currentColor" />
        )}
      </span>
      <span className="truncate text-small">{under}</span>
      <span className="truncate text-small text-mute">
        {[
          tellDay(panel.date),
          ...(panel.rating ? [`rated ${panel.rating}`] : []),
          ...(panel.occasion ? [panel.occasion] : []),
          ...troubles.map((trouble) => TROUBLE_NAMES[trouble]),
        ].join(' · ')}
      </span>
    </Link>
  );
}
