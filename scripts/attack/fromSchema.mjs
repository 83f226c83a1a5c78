/** Values of a JSON schema of the API document, and values with something wrong in them. */

const LINES = ['1 2 3', '1-2 r:round', '{1 2}x3 sw', 'weave 3-2', '1 . 2> 3@b'];
const DEEPEST = 7;

/** A value that the schema allows, as far as a schema tells it; `ids` are those that the gym has. */
export function rightValue(schema, document, chances, ids, depth = 0) {
  const again = (inner) => rightValue(inner, document, chances, ids, depth + 1);
  if (!schema || depth > DEEPEST) return null;
  if (schema.$ref) return again(document.components.schemas[schema.$ref.split('/').at(-1)]);
  if (schema.nullable && chances.chance(0.15)) return null;
  if (schema.allOf) return Object.assign({}, ...schema.allOf.map(again));
  if (schema.oneOf ?? schema.anyOf) return again(chances.one(schema.oneOf ?? schema.anyOf));
  if (schema.enum) return chances.one(schema.enum);
  switch (schema.type) {
    case 'object': {
      const { properties = {}, required = [] } = schema;
      return Object.fromEntries(
        Object.entries(properties)
          .filter(([field]) => required.includes(field) || chances.chance(0.5))
          .map(([field, inner]) => [
            field,
            /Ids?$|^ids?$/.test(field) ? idsFor(inner, chances, ids) : again(inner),
          ]),
      );
    }
    case 'array':
      return Array.from({ length: chances.whole(schema.minItems ?? 0, (schema.minItems ?? 0) + 2) }, () =>
        again(schema.items),
      );
    case 'integer':
    case 'number': {
      const least = schema.minimum ?? 0;
      const value = chances.whole(Math.ceil(least), Math.floor(Math.min(schema.maximum ?? 100, least + 100)));
      return value;
    }
    case 'boolean':
      return chances.chance(0.5);
    default:
      if (schema.format === 'date-time') return new Date(1.77e12 + chances.whole(0, 1e9)).toISOString();
      if (schema.format === 'date') return `2026-0${chances.whole(1, 9)}-1${chances.whole(0, 9)}`;
      return chances.chance(0.3) ? chances.one(LINES) : `word${chances.whole(1, 30)}`;
  }
}

function idsFor(schema, chances, ids) {
  return schema.type === 'array'
    ? Array.from({ length: chances.whole(0, 3) }, () => chances.one(ids))
    : chances.one(ids);
}

const JUNK = [
  ...[null, true, -1, 0, 0.1, 1e300, -1e-300, 2 ** 53, '', ' ', '\u0000', '\ud800', '\n', '\u202e', 'ﷺ'],
  ...['9999-12-31T23:59:59Z', '-000001-01-01T00:00:00Z', '+275761-01-01T00:00:00Z', '2026-13-45'],
  ...['<img src=x onerror=alert(1)>', "'; drop table fighters; --", '../../etc/passwd', '${7*7}', '{{7*7}}'],
  ...[[], [[]], {}, [null], { length: 3 }, { toString: 1 }, ['a', ['b', ['c']]]],
  ...['x'.repeat(20_000), '1 '.repeat(5000), '{'.repeat(300), Array(3000).fill(0), 'http://10.0.0.1/'],
];

/** A value with junk in one place, or with a field too many, or too few. */
export function spoilt(value, chances) {
  if (typeof value !== 'object' || value === null || chances.chance(0.15)) return chances.one(JUNK);
  const keys = Object.keys(value);
  if (keys.length === 0 || chances.chance(0.1))
    return Array.isArray(value)
      ? [...value, chances.one(JUNK)]
      : { ...value, [chances.one(['__proto__x', 'constructor', 'more'])]: chances.one(JUNK) };
  const key = chances.one(keys);
  const changed = Array.isArray(value) ? [...value] : { ...value };
  if (chances.chance(0.1)) delete changed[key];
  else changed[key] = spoilt(value[key], chances);
  return changed;
}
