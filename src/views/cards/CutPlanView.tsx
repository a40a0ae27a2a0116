import { download } from '../../app/download';
import { usePaperWork } from '../../app/usePaperWork';
import { formatBare, formatLength } from '../../core/base/length';
import { counted, unbroken } from '../../core/base/words';
import { cutDrawings } from '../../core/files/cutSvg';
import type { Cut, CutPlan, Placed } from '../../core/make/cutting/cutPlan';
import { describeCut, describeScores, nameAt, scoreOf, sheetsAlike } from '../../core/make/cutting/cutText';
import type { Piece } from '../../core/make/cutting/pieces';
import type { Card } from '../../core/materials/card/card';
import { useAppSelector } from '../../store/hooks';
import { Button } from '../../ui/Button';

interface Props {
  readonly plan: CutPlan;
  readonly card: Card;
  readonly pieces: readonly Piece[];
}

/** Height of a drawn sheet, px. */
const DRAWN = 230;

/** A plan: how many sheets, how they are cut, in which order, and what is left over. */
export function CutPlanView({ plan, card, pieces }: Props) {
  const unit = useAppSelector(({ view }) => view.unit);
  const { sheet, sheets, waste } = plan;
  const { make, progress } = usePaperWork(
    'Drawing the plan',
    'The plan could not be made into a PDF. Try again.',
  );
  const short = card.stock !== undefined && card.stock < sheets.length;
  return (
    <>
      <p>
        <strong>
          {sheets.length} {sheets.length === 1 ? 'sheet' : 'sheets'}
        </strong>{' '}
        of {formatBare(sheet.width, unit)} × {formatLength(sheet.height, unit)}, {Math.round(waste * 100)} %
        left over.
        {short && ` Only ${card.stock} in the drawer.`}
      </p>
      <p className="text-mute">
        {pieces
          .map(
            ({ name, width, height, count }) =>
              `${count} × ${name}, ${formatBare(width, unit)} × ${formatLength(height, unit)}`,
          )
          .join('; ')}
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button
          onClick={() => {
            const { name, type, contents } = cutDrawings(plan, `cut-${card.id}`);
            download(name, type, contents);
          }}
        >
          SVG, true size
        </Button>
        {progress ?? (
          <Button
            onClick={() =>
              void make(async (worker) =>
                download(`cut-${card.id}.pdf`, 'application/pdf', await worker.cutPdf(plan)),
              )
            }
          >
            PDF, true size
          </Button>
        )}
      </div>
      <ul className="mt-3 flex flex-wrap gap-6">
        {sheetsAlike(plan).map(({ places: [index, ...others], name }) => (
          <li key={name} className="max-w-88">
            <h3 className="font-semibold">
              {name}
              {others.length > 0 && ', cut alike'}
            </h3>
            <Drawing plan={plan} index={index} />
            <ol className="mt-1 list-decimal pl-5 text-small leading-snug">
              {sheets[index]?.cuts.map((cut) => (
                <li key={placeOf(cut)}>{describeCut(cut, unit)}</li>
              ))}
            </ol>
            {describeScores(sheets[index]?.placed ?? [], unit).map((line) => (
              <p key={line} className="text-small leading-snug">
                {unbroken(line)}
              </p>
            ))}
          </li>
        ))}
      </ul>
      <p className="mt-2 text-small text-mute">
        Each cut goes right through the piece in hand. Blades cut: fingers behind the guard, a mat under the
        card, and the trimmer maker’s own sheet first.
      </p>
    </>
  );
}

/** Where a cut goes: no two go along one line. */
const placeOf = ({ from, to }: Pick<Cut, 'from' | 'to'>): string => `${from.x} ${from.y} to ${to.x} ${to.y}`;

function Drawing({ plan, index }: { readonly plan: CutPlan; readonly index: number }) {
  const { width, height } = plan.sheet;
  const { placed, cuts } = plan.sheets[index] ?? { placed: [], cuts: [] };
  const scale = height / DRAWN;
  return (
    <svg
      role="img"
      aria-label={`Sheet with ${counted(placed.length, 'piece')} and ${counted(cuts.length, 'cut')}`}
      viewBox={`0 0 ${width} ${height}`}
      width={Math.round((DRAWN * width) / height)}
      height={DRAWN}
      className="bg-field"
    >
      <rect width={width} height={height} className="fill-none stroke-text" strokeWidth={scale * 2} />
      {placed.map((piece) => (
        <g key={`${piece.x} ${piece.y}`}>
          <PlacedPiece piece={piece} scale={scale} />
        </g>
      ))}
      {cuts.map(({ from, to }, i) => (
        <g key={placeOf({ from, to })}>
          <line
            x1={from.x}
            y1={from.y}
            x2={to.x}
            y2={to.y}
            className="stroke-text"
            strokeWidth={scale * 1.4}
            strokeDasharray={`${scale * 5} ${scale * 3}`}
          />
          <text
            x={from.x + scale * 3}
            y={from.y + scale * 11}
            fontSize={scale * 11}
            fontWeight={700}
            className="fill-text"
          >
            {i + 1}
          </text>
        </g>
      ))}
    </svg>
  );
}

/** A piece on its sheet: its outline, its name, and dotted where it is scored. */
function PlacedPiece({ piece, scale }: { readonly piece: Placed; readonly scale: number }) {
  const { name, x, y, width, height } = piece;
  const score = scoreOf(piece);
  return (
    <>
      <rect {...{ x, y, width, height }} className="fill-pane stroke-text" strokeWidth={scale * 0.8} />
      {score && (
        <line
          x1={score.from.x}
          y1={score.from.y}
          x2={score.to.x}
          y2={score.to.y}
          className="stroke-text"
          strokeWidth={scale * 1.4}
          strokeLinecap="round"
          strokeDasharray={`0 ${scale * 4}`}
        />
      )}
      <text
        x={x + width / 2}
        y={y + height * nameAt(piece)}
        dy="0.32em"
        textAnchor="middle"
        fontSize={Math.min(scale * 11, (width / Math.max(name.length, 4)) * 1.7)}
        className="fill-text"
      >
        {name}
      </text>
    </>
  );
}
