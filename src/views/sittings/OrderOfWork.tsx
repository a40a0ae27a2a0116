import { useLayoutEffect, useMemo, useRef } from 'react';
import { counted } from '../../core/base/words';
import { inkOf, type KnownSitting, numberOf, operationOf, tellLine } from '../../core/make/sitting/known';
import { clockAfter } from '../../core/make/sitting/record';
import type { Planned } from '../../core/make/sitting/sitting';
import { InkDot } from '../../ui/InkDot';
import { useIsPrinted } from '../../ui/useIsPrinted';

interface Props {
  readonly known: KnownSitting;
  readonly lines: readonly Planned[];
  readonly origin: string;
}

/** The evening as a list: for whoever reads it rather than sees it, and for paper. */
export default function OrderOfWork({ known, lines, origin }: Props) {
  const inOrder = useMemo(() => lines.toSorted((p, q) => p.start - q.start || p.hand - q.hand), [lines]);
  const list = useRef<HTMLDetailsElement>(null);
  const isPrinted = useIsPrinted();
  // On paper it is read as a whole.
  useLayoutEffect(() => {
    if (isPrinted && list.current) list.current.open = true;
  }, [isPrinted]);
  return (
    <details ref={list} className="border-t border-line bg-sheet p-4 print:block">
      <summary className="heading cursor-pointer text-lead">
        The order of work, {counted(inOrder.length, 'piece')}
      </summary>
      <table className="mt-3 w-full max-w-4xl">
        <thead className="text-left text-mute">
          <tr>
            <th scope="col">from</th>
            <th scope="col">panel</th>
            <th scope="col">recipe</th>
            <th scope="col">work</th>
            <th scope="col" className="text-right">
              then dry at
            </th>
          </tr>
        </thead>
        <tbody className="tabular-nums">
          {inOrder.map((line) => {
            const ink = inkOf(known, line);
            const rest = line.does === 'operation' ? (operationOf(known, line)?.rest?.min ?? 0) : 0;
            return (
              <tr
                key={`${line.start} ${line.hand} ${line.does} ${line.group} ${line.panel} ${line.operation} ${line.brush}`}
              >
                <td>{clockAfter(origin, line.start)}</td>
                <td>{numberOf(known, line)}</td>
                <td>{known.lots[line.group]?.resolved.recipe.name}</td>
                <td>
                  {ink && <InkDot ink={ink} className="mr-1.5 inline-block size-3 align-baseline" />}
                  {tellLine(known, line)}
                </td>
                <td className="text-right">{rest > 0 ? clockAfter(origin, line.end + rest) : ''}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </details>
  );
}
