import type { ReactNode } from 'react';
import { PageTitle } from './PageTitle';

interface Props {
  readonly title: string;
  /** What stands beside the title: what can be seen and done here. */
  readonly children?: ReactNode;
}

/** The head of a view: its name, and what can be done with the whole of it, which is nothing on paper. */
export const PageHeader = ({ title, children }: Props) => (
  <header className="flex flex-wrap items-center gap-3 border-b border-line bg-pane px-4 py-2 print:[&_button]:hidden">
    <PageTitle of={title} />
    <h1 className="heading text-title">{title}</h1>
    {children}
  </header>
);
