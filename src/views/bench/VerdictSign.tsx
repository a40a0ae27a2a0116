import type { VerdictKind } from '../../core/readings/joints/joint';

const SIGNS: Readonly<Record<VerdictKind, string>> = {
  'clean run': 'M2 6h8',
  'new colour': 'M6 1v10M1 6h10',
  dulls: 'M1 6q2.5 3 5 0t5 0',
  mud: 'M1 3q2.5 3 5 0t5 0M1 8q2.5 3 5 0t5 0',
  'too alike': 'M2 4h8M2 8h8',
};

/** A verdict's shape: a line goes over, a cross is something new, one wave dulls, two are mud, an equals sign is too alike. */
export function VerdictSign({ kind }: { readonly kind: VerdictKind }) {
  return (
    <svg aria-hidden="true" viewBox="0 0 12 12" className="mr-0.5 inline size-3 -translate-y-px">
      <path d={SIGNS[kind]} className="fill-none stroke-text" strokeWidth={1.8} strokeLinecap="round" />
    </svg>
  );
}
