import { useLiveQuery } from 'dexie-react-hooks';
import { Dialog } from 'radix-ui';
import { type RefObject, useEffect, useMemo, useRef, useState } from 'react';
import { useOnce } from '../../app/once';
import { pointOn } from '../../app/pointOn';
import { useDatabase } from '../../app/session';
import { useAnswer } from '../../app/useAnswer';
import { movedByKey, useGrip } from '../../app/useGrip';
import { useObjectUrl } from '../../app/useObjectUrl';
import type { Size } from '../../core/base/geometry';
import { type Corners, canBeSeen, type Point, projectionOf } from '../../core/base/perspective';
import { counted } from '../../core/base/words';
import { panelPlaces } from '../../core/keep/learn/fromLog';
import { placeColour } from '../../core/keep/learn/tell';
import type { LoggedReading, MadeOf, MadePanel, PanelPhoto } from '../../core/keep/log/made';
import { noiseAt } from '../../core/keep/read/places';
import type { PhotoReading, PlaceReading } from '../../core/keep/read/readPanel';
import { deltaE00 } from '../../core/materials/colour/difference';
import { type Hex, hexOfLab, labOfHex } from '../../core/materials/colour/hex';
import { plainColour } from '../../core/materials/colour/plainWords';
import { changePanel, readPhoto } from '../../data/panels';
import { Button } from '../../ui/Button';
import { Checkbox } from '../../ui/Checkbox';
import { Modal } from '../../ui/Modal';
import { logWorker } from '../../workers/client';

interface Props {
  readonly panel: MadePanel;
  readonly made: MadeOf;
  readonly photo: PanelPhoto;
  readonly onKeep: (readings: readonly LoggedReading[]) => void;
  readonly onClose: () => void;
}

/** What was read, or why nothing can be. */
type Reading = PhotoReading | { readonly problem: string };

const CORNER_NAMES = ['Top left', 'Top right', 'Bottom right', 'Bottom left'] as const;

/** The four corners of the panel in its photograph, and what is read with them there. */
export function PhotoReader({ panel, made, photo, onKeep, onClose }: Props) {
  const db = useDatabase();
  const record = useLiveQuery(() => readPhoto(db, photo.id), [db, photo.id]);
  const address = useObjectUrl(record);
  const [moved, setMoved] = useState<Corners>();
  const [isWet, setWet] = useState(false);
  const usual = record && insetCorners(record.width, record.height);
  const corners = moved ?? photo.corners ?? usual;
  const settled = useSettled(corners);
  const reading = useAnswer<Reading>(
    useMemo(
      () => (record && settled ? () => logWorker().readPanel(record, settled, made) : undefined),
      [record, settled, made],
    ),
  );
  const places = reading && 'places' in reading ? reading.places : [];
  const trusted = places.filter(({ doubt }) => !doubt);
  const keep = useOnce(async () => {
    if (corners)
      await changePanel(db, panel.id, (now) => ({
        ...now,
        photos: (now.photos ?? []).map((one) => (one.id === photo.id ? { ...one, corners } : one)),
      }));
    onKeep(
      trusted.map((place) => ({
        at: { x: place.x, y: place.y },
        lab: place.lab,
        source: 'photograph',
        noise: noiseAt(place, 'photograph'),
        ...(isWet ? { wet: true } : {}),
      })),
    );
  });
  return (
    <Modal lies="page" className="flex flex-col" described onClose={onClose}>
      <Dialog.Title className="heading text-lg">Read No {panel.number} off its photograph</Dialog.Title>
      <Dialog.Description className="mb-3 text-mute">
        {photo.corners
          ? 'The corners were found. Drag any that is off, or move it with the arrow keys.'
          : 'Drag the four corners onto the panel’s own, or move them with the arrow keys.'}{' '}
        Bare card has to be seen all around it.
      </Dialog.Description>
      <div className="flex min-h-0 flex-1 flex-col gap-5 overflow-y-auto lg:grid lg:grid-cols-[minmax(0,1fr)_24rem]">
        {record && address && corners ? (
          <CornerBoard
            address={address}
            width={record.width}
            height={record.height}
            corners={corners}
            size={made.recipe.panel}
            places={places}
            onMove={setMoved}
          />
        ) : (
          <p className="text-mute">Opening the photograph …</p>
        )}
        <div className="min-w-0">
          {!reading && <p role="status">Reading …</p>}
          {reading && 'problem' in reading && (
            <p role="alert" className="border-l-2 border-text pl-3">
              {reading.problem}
            </p>
          )}
          {reading && 'places' in reading && (
            <>
              <p role="status" className="mb-2">
                {counted(trusted.length, 'place')} can be trusted
                {trusted.length < places.length && `; ${places.length - trusted.length} left out`}. The light
                was told from {reading.lamp.places} places of bare card.
              </p>
              <PlaceTable places={places} made={made} />
            </>
          )}
        </div>
      </div>
      <div className="mt-4 flex flex-wrap items-center justify-end gap-2">
        <Checkbox
          label="It was still wet: learn how far it dries back"
          checked={isWet}
          onChange={({ target }) => setWet(target.checked)}
        />
        <Dialog.Close asChild>
          <Button>Cancel</Button>
        </Dialog.Close>
        <Button look="strong" disabled={trusted.length === 0} onClick={() => void keep()}>
          Keep {counted(trusted.length, 'reading')} and learn
        </Button>
      </div>
    </Modal>
  );
}

const insetCorners = (width: number, height: number): Corners => {
  const at = (x: number, y: number): Point => ({ x: x * width, y: y * height });
  return [at(0.2, 0.2), at(0.8, 0.2), at(0.8, 0.8), at(0.2, 0.8)];
};

/** So long the corners have to rest before the panel is read anew, ms. */
const REST = 250;
function useSettled(corners: Corners | undefined): Corners | undefined {
  const [settled, setSettled] = useState(corners);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(corners), REST);
    return () => clearTimeout(timer);
  }, [corners]);
  return settled ?? corners;
}

interface BoardProps {
  readonly address: string;
  readonly width: number;
  readonly height: number;
  readonly corners: Corners;
  readonly size: { readonly width: number; readonly height: number };
  readonly places: readonly PlaceReading[];
  readonly onMove: (corners: Corners) => void;
}

/** The photograph with the panel's corners and the places that are read, both in its own pixels. */
function CornerBoard({ address, width, height, corners, size, places, onMove }: BoardProps) {
  const board = useRef<SVGSVGElement>(null);
  const put = (i: number, { x, y }: Point) => {
    const point = { x: Math.min(Math.max(x, 0), width), y: Math.min(Math.max(y, 0), height) };
    onMove(corners.map((corner, j) => (i === j ? point : corner)) as unknown as Corners);
  };
  const project = canBeSeen(corners) ? projectionOf(corners, size.width, size.height) : undefined;
  const unit = width / 100;
  return (
    // biome-ignore lint/a11y/useSemanticElements: a drawing whose parts are moved is no fieldset
    <svg
      ref={board}
      role="group"
      aria-label="Photograph with the panel’s corners"
      viewBox={`0 0 ${width} ${height}`}
      className="shrink-0 select-none"
      // It fills its place: where a pointer is in it is where it is in the photograph.
      style={{ aspectRatio: `${width} / ${height}`, width: `min(100%, ${width / height} * 70dvh)` }}
    >
      <image href={address} width={width} height={height} />
      <polygon
        points={corners.map(({ x, y }) => `${x},${y}`).join(' ')}
        className="fill-none stroke-white"
        style={{ mixBlendMode: 'difference' }}
        strokeWidth={unit / 3}
      />
      {project &&
        places.map(({ x, y, doubt, label }) => {
          const at = project(x, y);
          return (
            <g
              key={`${label} ${x} ${y}`}
              className="stroke-white"
              style={{ mixBlendMode: 'difference' }}
              strokeWidth={unit / 4}
            >
              <circle cx={at.x} cy={at.y} r={unit} fill="none" />
              {doubt && <path d={`M${at.x - unit} ${at.y - unit}l${2 * unit} ${2 * unit}`} />}
            </g>
          );
        })}
      {corners.map((at, i) => (
        <CornerGrip
          key={CORNER_NAMES[i]}
          name={`${CORNER_NAMES[i]} corner`}
          at={at}
          board={board}
          photo={{ width, height }}
          onMove={(to) => put(i, to)}
        />
      ))}
    </svg>
  );
}

interface CornerProps {
  readonly name: string;
  readonly at: Point;
  readonly board: RefObject<SVGSVGElement | null>;
  readonly photo: Size;
  readonly onMove: (to: Point) => void;
}

/** One corner, dragged or moved by keys, a pixel of the photograph at a time. */
function CornerGrip({ name, at, board, photo, onMove }: CornerProps) {
  const grip = useGrip({
    onDrag: (to) => onMove(pointOn(board, photo, to)),
    onKey: (key) => onMove(movedByKey(key, at, 1, photo.width)),
  });
  const unit = photo.width / 100;
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={name}
      aria-valuenow={Math.round(at.x)}
      aria-valuetext={`${Math.round(at.x)} across, ${Math.round(at.y)} down`}
      {...grip}
      className="group cursor-grab touch-none outline-none active:cursor-grabbing"
    >
      {/* A finger's width around what is seen. */}
      <circle cx={at.x} cy={at.y} r={6 * unit} fill="#0000" />
      <circle cx={at.x} cy={at.y} r={2.2 * unit} fill="#fff6" stroke="#000" strokeWidth={unit / 3} />
      <g fill="none" className="hidden group-focus-visible:inline">
        <circle cx={at.x} cy={at.y} r={3.2 * unit} stroke="#000" strokeWidth={1.2 * unit} />
        <circle cx={at.x} cy={at.y} r={3.2 * unit} stroke="#fff" strokeWidth={0.6 * unit} />
      </g>
    </g>
  );
}

/** What was read beside what was predicted. */
function PlaceTable({ places, made }: { readonly places: readonly PlaceReading[]; readonly made: MadeOf }) {
  const placeAt = useMemo(
    () => panelPlaces(made, ({ id }) => made.inks.find((ink) => ink.id === id)),
    [made],
  );
  return (
    <table className="w-full text-small">
      <thead className="text-left text-mute">
        <tr>
          <th scope="col">Place</th>
          <th scope="col">said</th>
          <th scope="col">read</th>
          <th scope="col" className="text-right">
            ΔE00
          </th>
        </tr>
      </thead>
      <tbody>
        {places.map(({ x, y, label, lab, doubt }) => {
          const said = placeColour(placeAt(x, y));
          return (
            <tr key={`${label} ${x} ${y}`} className={doubt ? 'text-mute' : ''}>
              <td className="py-0.5 pr-2">
                {label}
                {doubt && <span className="block">left out: {doubt}</span>}
              </td>
              <td>
                <Patch hex={hexOfLab(said)} />
              </td>
              <td>
                <Patch hex={hexOfLab(lab)} />
              </td>
              <td className="text-right tabular-nums">{deltaE00(said, lab).toFixed(1)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** A colour as it is seen, and in words for who cannot see it. */
export function Patch({ hex }: { readonly hex: Hex }) {
  const words = plainColour(labOfHex(hex));
  return (
    <span
      role="img"
      aria-label={words}
      title={words}
      className="block h-5 w-8 border border-line"
      style={{ background: hex }}
    />
  );
}
