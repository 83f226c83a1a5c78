import { Children, isValidElement, useEffect, type ComponentProps, type ReactNode } from 'react';

/** The heading of a page, which the tab of the browser has as well. */
export function Heading({ children, ...rest }: ComponentProps<'h1'>) {
  const text = textOf(children).trim();
  useEffect(() => {
    document.title = text === '' ? 'Eurhythm' : `${text} · Eurhythm`;
  }, [text]);
  return <h1 {...rest}>{children}</h1>;
}

/** The words of what is drawn. */
function textOf(node: ReactNode): string {
  if (typeof node === 'string' || typeof node === 'number') return String(node);
  if (Array.isArray(node)) return Children.toArray(node).map(textOf).join('');
  return isValidElement<{ children?: ReactNode }>(node) ? textOf(node.props.children) : '';
}
