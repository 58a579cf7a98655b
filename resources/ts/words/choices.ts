/** Wording of the file's slugs. Slugs that are missing here are shown with spaces: `dry-roller`, "dry roller". */
const phrases: Record<string, string> = {
    'half-right': 'the right half of each letter',
    'half-left': 'the left half of each letter',
    'half-top': 'the top half of each letter',
    'half-bottom': 'the bottom half of each letter',
    'one-letter': 'letter or frame no.',
    'one-word': 'word no.',
    'one-line': 'line no.',
    ramp: 'from letter to letter',
    whole: 'through all of it',
    'each-letter': 'anew for each letter',
    widest: 'to the widest',
    same: 'the same',
    'another-colour': 'in another colour',
};

/** Different wording for one kind of effect: by effect, parameter and slug. */
const ofLine: Record<string, Record<string, string>> = {
    'shadow.as': { copy: 'shifted copy', solid: 'solid block' },
    'hatch.as': { ink: 'lines of ink in', cut: 'lines cut out' },
    'outline.join': { mitre: 'pointed' },
    'embolden.join': { mitre: 'pointed' },
    'airbrushed.character': { edges: 'its edges', smooth: 'a smooth face', glossy: 'a glossy face', bold: 'a bold face' },
    'feature.letters': { 'first-of-lines': 'the first letter of each line', 'last-of-lines': 'the last letter of each line', 'first-of-words': 'the first letter of each word', 'last-of-words': 'the last letter of each word', 'one-letter': 'letter no.' },
    'around.side': { over: 'over its top', under: 'under its foot' },
    'outline.about': { 'every-edge': 'every edge', silhouette: 'the silhouette alone' },
};

const bends: Record<string, string> = { percent: 'by', inches: 'by a rise of' };

export function phrase(slug: string): string {
    return phrases[slug] ?? slug.replaceAll('-', ' ');
}

/** The wording of one parameter's choices. */
export function phrasesOf(kind: string, parameter: string, choices: string[]): Record<string, string> {
    const own = ofLine[`${kind}.${parameter}`] ?? (parameter === 'by' ? bends : {});
    return Object.fromEntries(choices.map((slug) => [slug, own[slug] ?? phrase(slug)]));
}
