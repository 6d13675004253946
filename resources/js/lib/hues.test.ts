import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { panels } from '../panels/panels';

const css = readFileSync('resources/css/app.css', 'utf8');
const schema = JSON.parse(readFileSync('docs/plan.schema.json', 'utf8')) as {
    $defs: { link: { allOf: { if: { properties: { medium: { const: string } } } }[] } };
};
const media = schema.$defs.link.allOf.map((branch) => branch.if.properties.medium.const);

test.each(media)('%s has a hue in either theme, and a panel', (medium) => {
    const hues = [...css.matchAll(new RegExp(`--medium-${medium}: (#[0-9a-f]{6});`, 'g'))].map((match) => match[1]);
    expect(hues).toHaveLength(2);
    expect(new Set(hues).size).toBe(2);
    expect(panels).toHaveProperty([medium]);
});

test('no two media have the same hue', () => {
    const hues = [...css.matchAll(/--medium-[\w-]+: (#[0-9a-f]{6});/g)].map((match) => match[1]);
    expect(new Set(hues).size).toBe(2 * media.length);
});
