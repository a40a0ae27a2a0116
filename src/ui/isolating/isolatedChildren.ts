import { isolated } from '../../core/base/direction';

/** What an element is made of, with every text in it isolated; the same where nothing has to be. */
export function isolatedChildren<Props>(props: Props): Props {
  const { children } = props as { readonly children?: unknown };
  if (typeof children === 'string') {
    const own = isolated(children);
    return own === children ? props : { ...props, children: own };
  }
  if (!Array.isArray(children)) return props;
  const own: readonly unknown[] = children.map((child) =>
    typeof child === 'string' ? isolated(child) : child,
  );
  return own.some((child, i) => child !== children[i]) ? { ...props, children: own } : props;
}
