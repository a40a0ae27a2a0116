import { isLeftward, isolated } from '../../core/base/direction';

const hasLeftward = (child: unknown): boolean => typeof child === 'string' && isLeftward(child);
const own = (child: unknown): unknown => (typeof child === 'string' ? isolated(child) : child);

/** What an element is made of, with every text in it isolated; the same where nothing has to be. */
export function isolatedChildren<Props>(props: Props): Props {
  const { children } = props as { readonly children?: unknown };
  if (Array.isArray(children))
    return children.some(hasLeftward) ? { ...props, children: children.map(own) } : props;
  return hasLeftward(children) ? { ...props, children: own(children) } : props;
}
