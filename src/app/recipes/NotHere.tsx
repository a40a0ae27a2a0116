import { Link } from 'react-router';
import { PageTitle } from '../../ui/PageTitle';

interface Props {
  readonly title: string;
  readonly children: string;
}

/** Stands where a recipe would, and says why it cannot be shown. */
export function NotHere({ title, children }: Props) {
  return (
    <main className="p-8">
      <PageTitle of={title} />
      <h1 className="heading text-xl">{title}</h1>
      <p className="mt-1">{children}</p>
      <Link to="/recipes" className="mt-4 inline-block font-semibold underline underline-offset-4">
        Go to all recipes
      </Link>
    </main>
  );
}
