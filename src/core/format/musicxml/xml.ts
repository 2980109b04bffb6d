type Attributes = Readonly<Record<string, string | number | undefined>>;

/** A piece of XML, escaped already. */
export type Xml = string;

const ESCAPES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
};

/** Text for XML 1.0: marks escaped, characters left out that it cannot hold. */
export function escaped(text: string): Xml {
  return text
    .replace(/[^\t\n\r\u0020-\uD7FF\uE000-\uFFFD\u{10000}-\u{10FFFF}]/gu, '')
    .replace(/[&<>"]/g, (one) => ESCAPES[one] ?? one);
}

/** An element; attributes without a value are left out.
 * @param inside elements in order, or text; null is left out
 * @example element('dot') // => '<dot/>' */
export function element(
  name: string,
  inside: readonly (Xml | null)[] | string | number = [],
  attributes: Attributes = {},
): Xml {
  const said = Object.entries(attributes).flatMap(([key, value]) =>
    value === undefined ? [] : ` ${key}="${escaped(String(value))}"`,
  );
  const content =
    typeof inside === 'object'
      ? inside.filter((one) => one !== null).join('')
      : escaped(String(inside));
  const opens = `<${name}${said.join('')}`;
  return content === '' ? `${opens}/>` : `${opens}>${content}</${name}>`;
}
