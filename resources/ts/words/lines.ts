import { valueOf, type EffectLine, type Parameter } from '../types';

/**
 * The sentence of an effect on the build sheet, with parameters in braces. A new effect of the core
 * needs one entry here; without one its name is shown.
 */
interface Wording {
    sentence: string;
    /** Words that find it. */
    verb: string;
    also: string[];
    labels: Record<string, string>;
    /** Parameters that have no effect for the current values of others. */
    hides?: (line: EffectLine) => string[];
}

const bent = (noun: string, verb: string, also: string[], rest = ''): Wording => ({
    sentence: `${verb} {by} {bend} {rise}${rest}`,
    verb,
    also: ['bend', 'warp', 'curve', 'curved', ...also],
    labels: { by: `${noun} told by`, bend: noun, rise: `${noun} in inches`, waves: 'waves' },
    hides: (line) => (valueOf(line, 'by') === 'inches' ? ['bend'] : ['rise']),
});

const pattern = { scale: 'scale', x: 'shift across', y: 'shift down', each: 'whole or letter by letter' };

export const effectWords: Record<string, Wording> = {
    'letter-spacing': {
        sentence: 'Space letters by {by} thousandths of an em',
        verb: 'Space letters',
        also: ['tracking', 'wide', 'tight', 'letter-spacing'],
        labels: { by: 'letter spacing' },
    },
    kerning: { sentence: 'Kern the pair {pair} by {by} thousandths of an em', verb: 'Kern a pair', also: ['kerning', 'pair', 'gap'], labels: { pair: 'pair of letters', by: 'kerning' } },
    case: { sentence: 'Set it in {as}', verb: 'Set in capitals', also: ['case', 'upper', 'lower', 'small letters'], labels: { as: 'case' } },
    feature: {
        sentence: 'Use the font feature {tag}, number {value}, for {letters} {letter}', verb: 'Use a font feature', also: ['opentype', 'tag', 'stylistic set', 'figures', 'small capitals', 'every letter'],
        labels: { tag: 'feature tag', value: 'feature value', letters: 'letters that it is for', letter: 'number of the letter' },
        hides: (line) => (valueOf(line, 'letters') === 'one-letter' ? [] : ['letter']),
    },
    'larger-ends': { sentence: 'First and last letters {by} as large, kept at the {stand}', verb: 'Larger first and last letters', also: ['ends', 'varsity', 'big'], labels: { by: 'size of end letters', stand: 'end letters kept at' } },
    line: { sentence: 'Line {number} in {font}, {size} of its size, {fit}', verb: 'Set one line its own way', also: ['font', 'size', 'fit', 'line'], labels: { number: 'line number', font: 'font of the line', size: 'size of the line', fit: 'fit of the line' } },
    variation: { sentence: 'Draw its letters at {axis} {value}, {line}', verb: 'Vary the font', also: ['variable', 'weight', 'bold', 'light', 'width', 'condensed', 'slant', 'axis'], labels: { axis: 'axis of the font', value: 'place on the axis', line: 'lines that it is for' } },
    'fit-lines': { sentence: 'Fit every line to one width, gaps {gap} of it', verb: 'Fit every line to one width', also: ['block', 'justify', 'stack', 'width'], labels: { gap: 'gap between lines' } },
    stretch: { sentence: 'Stretch {down} tall and {across} wide', verb: 'Stretch tall or wide', also: ['tall', 'condense', 'expand'], labels: { down: 'stretch tall', across: 'stretch wide' } },
    arch: bent('bend', 'Arch', ['curve', 'arc']),
    circle: bent('bend', 'Stand letters on a circle', ['round', 'badge', 'turn', 'curve']),
    around: { sentence: 'Stand its letters around a circle {diameter} across, {side}', verb: 'Stand letters around a circle', also: ['round', 'badge', 'circle', 'ring', 'seal', 'curve', 'around'], labels: { diameter: 'circle through the middle of the capitals', side: 'where they stand' } },
    bulge: bent('bulge', 'Bulge', ['fat', 'middle']),
    pinch: bent('pinch', 'Pinch', ['waist', 'thin']),
    wave: bent('crest', 'Wave', ['wavy', 'retro'], ', waves {waves}'),
    flag: bent('crest', 'Wave as a flag', ['flag', 'wavy'], ', waves {waves}'),
    rise: bent('climb', 'Rise', ['climb', 'slope', 'diagonal']),
    ring: bent('bend', 'Bend into a ring', ['circle', 'round', 'fan']),
    fill: { sentence: 'Fill with {colour}', verb: 'Fill with a colour', also: ['colour', 'color', 'paint', 'recolour'], labels: { colour: 'fill colour' } },
    'letter-colours': { sentence: 'Colour letters {way}: {colours}', verb: 'Colour each letter', also: ['letters', 'ramp', 'rainbow', 'in turn'], labels: { way: 'order of colours', colours: 'letter colours' } },
    gradient: { sentence: 'Fill with a gradient of {colours} at {angle}', verb: 'Fill with a gradient', also: ['ramp', 'fade', 'rainbow', 'ombre'], labels: { colours: 'gradient colours', angle: 'gradient angle' } },
    paper: {
        sentence: 'Fill with {paper} paper in {colours}, size {scale}, pattern {seed}, shifted {x}, {y}, {each}',
        verb: 'Fill with a paper', also: ['pattern', 'watercolour', 'glitter', 'gingham', 'plaid', 'spots', 'stripes', 'marbling', 'linen', 'texture'],
        labels: { ...pattern, paper: 'paper', colours: 'paper colours', seed: 'pattern number' },
    },
    picture: { sentence: 'Fill with the picture {file}, size {scale}, shifted {x}, {y}, {each}', verb: 'Fill with a picture', also: ['photo', 'clip', 'inside letters', 'image'], labels: { ...pattern, file: 'picture' } },
    only: {
        sentence: 'From here on, fill only {part} {number}', verb: 'Fill only a part', also: ['halves', 'half', 'split', 'second letter', 'second word', 'one letter', 'frame'],
        labels: { part: 'part', number: 'number of the letter, word or line' },
        hides: (line) => (String(valueOf(line, 'part')).startsWith('one-') ? [] : ['number']),
    },
    hatch: {
        sentence: 'Hatch every {spacing} with lines of {width} at {angle}, {inset} in from the edge, as {as} {colour}', verb: 'Hatch or etch', also: ['lines', 'etched', 'engraved', 'inset', 'cut'],
        labels: { spacing: 'line spacing', width: 'line thickness', angle: 'line angle', inset: 'inset', as: 'hatch as', colour: 'hatch colour' },
        hides: (line) => (valueOf(line, 'as') === 'cut' ? ['colour'] : []),
    },
    embolden: { sentence: 'Embolden by {by}, {join} corners', verb: 'Embolden', also: ['bold', 'weight', 'thicken', 'thin'], labels: { by: 'emboldening', join: 'corners' } },
    outline: {
        sentence: 'Outline {width} in {colour}, {side}, {join} corners, points up to {mitreLimit} ×, about {about}, crumbs under {crumbs} dropped',
        verb: 'Outline',
        also: ['ring', 'stroke', 'border', 'sticker', 'inline'],
        labels: { width: 'outline width', colour: 'outline colour', side: 'outline side', join: 'corners', mitreLimit: 'mitre limit', about: 'edges that it follows', crumbs: 'crumbs' },
        // The mitre limit has no effect unless corners are mitred.
        hides: (line) => [...(valueOf(line, 'side') === 'inside' ? ['about', 'crumbs'] : []), ...(valueOf(line, 'join') === 'mitre' ? [] : ['mitreLimit'])],
    },
    gap: { sentence: 'Leave a gap of {width} {side}', verb: 'Leave a gap between rings', also: ['ring', 'offset', 'space'], labels: { width: 'gap width', side: 'gap side' } },
    hollow: { sentence: 'Hollow, with a line of {width} in {colour}', verb: 'Make it hollow', also: ['outline only', 'empty', 'stroke'], labels: { width: 'line width', colour: 'line colour' } },
    backing: { sentence: 'Back it with {colour}', verb: 'Back it within its outline', also: ['backing', 'base', 'behind', 'filled in', 'underlay'], labels: { colour: 'backing colour' } },
    straighten: {
        sentence: 'Straighten by its corners: {x1} × {y1}, {x2} × {y2}, {x3} × {y3}, {x4} × {y4}', verb: 'Straighten by four corners', also: ['crooked', 'perspective', 'scan', 'corners'],
        labels: { x1: 'top left across', y1: 'top left down', x2: 'top right across', y2: 'top right down', x3: 'bottom right across', y3: 'bottom right down', x4: 'bottom left across', y4: 'bottom left down' },
    },
    crop: { sentence: 'Crop {left} off the left, {top} off the top, {right} off the right, {bottom} off the bottom', verb: 'Crop', also: ['cut', 'trim'], labels: { left: 'crop left', top: 'crop top', right: 'crop right', bottom: 'crop bottom' } },
    'even-light': { sentence: 'Even out its light by {amount}', verb: 'Even out the light on it', also: ['shadow', 'shade', 'uneven', 'paper', 'photographed page', 'vignette', 'flatten'], labels: { amount: 'evened by' } },
    levels: { sentence: 'Levels: black from {black}, white from {white}, middle {middle}', verb: 'Set its levels', also: ['levels', 'contrast', 'gamma'], labels: { black: 'black level', white: 'white level', middle: 'middle' } },
    tone: { sentence: 'Brightness {brightness}, contrast {contrast}', verb: 'Set brightness and contrast', also: ['light', 'dark'], labels: { brightness: 'brightness', contrast: 'contrast' } },
    saturation: { sentence: 'Saturation {by}', verb: 'Set its saturation', also: ['colour', 'grey', 'vivid'], labels: { by: 'saturation' } },
    'clear-edge': { sentence: 'Clear the background from the edge, tolerance {tolerance}, islands {islands}', verb: 'Clear the background from the edge', also: ['remove background', 'cut out', 'transparent', 'flood', 'wand'], labels: { tolerance: 'tolerance', islands: 'islands' } },
    'clear-colour': { sentence: 'Clear the colour {colour}, tolerance {tolerance}', verb: 'Clear one colour', also: ['remove background', 'key', 'transparent'], labels: { colour: 'cleared colour', tolerance: 'colour tolerance' } },
    'clear-buckets': { sentence: 'Of {count} colours hide {hidden}', verb: 'Hide some of its colours', also: ['remove background', 'bucket', 'reduce', 'colours', 'transparent'], labels: { count: 'number of colours', hidden: 'hidden colours' } },
    edge: { sentence: 'Take the edge in by {choke}, without the fringe for {fringe}', verb: 'Care for its edge', also: ['choke', 'spread', 'fringe', 'halo'], labels: { choke: 'choke', fringe: 'fringe' } },
    tidy: { sentence: 'Drop specks under {specks}, fill pinholes under {pinholes}', verb: 'Drop specks and fill pinholes', also: ['dust', 'clean', 'speckles'], labels: { specks: 'specks', pinholes: 'pinholes' } },
    traced: { sentence: 'Trace it to flat shapes of {count} colours', verb: 'Trace it to smooth flat shapes', also: ['vector', 'vectorise', 'low resolution', 'sharpen', 'logo', 'redraw', 'smooth'], labels: { count: 'number of traced colours' } },
    subject: { sentence: 'Keep the subject that is marked on it', verb: 'Keep its subject, by a scribble', also: ['remove background', 'cut out', 'select', 'person', 'photo', 'busy', 'transparent'], labels: { scribbles: 'marks' } },
    tidied: { sentence: 'Tidy what is left: drop specks under {specks}, fill pinholes under {pinholes}', verb: 'Tidy after masks and looks', also: ['dust', 'clean', 'specks', 'crumbs', 'pinholes'], labels: { specks: 'specks', pinholes: 'pinholes' } },
    'swap-colour': { sentence: 'Change {from} to {to}, tolerance {tolerance}', verb: 'Change one colour to another', also: ['recolour', 'swap', 'replace', 'colour', 'color'], labels: { from: 'old colour', to: 'new colour', tolerance: 'colour tolerance' } },
    hue: { sentence: 'Turn hues by {by}, vivid {vivid}', verb: 'Shift its hues', also: ['hue', 'saturation', 'saturate', 'vivid', 'grey', 'colour'], labels: { by: 'hue turn', vivid: 'vividness' } },
    invert: { sentence: 'Invert its colours', verb: 'Invert its colours', also: ['negative', 'opposite', 'colour'], labels: {} },
    jitter: { sentence: 'Shake letters: shifted up to {shift}, turned up to {turn}, sized up to {size}, pattern {seed}', verb: 'Shake its letters', also: ['jitter', 'bounce', 'wobble', 'hand lettered', 'uneven'], labels: { shift: 'letter shift', turn: 'letter turn', size: 'letter size change', seed: 'shake number' } },
    halftone: { sentence: 'Halftone at {lpi} lines to the inch, {angle}, {dots} dots', verb: 'Halftone its fades', also: ['dots', 'screen', 'solid', 'fade'], labels: { lpi: 'lines to the inch', angle: 'screen angle', dots: 'shape of dots' } },
    'halftone-inks': { sentence: 'Print in {inks} at {lpi} lines to the inch, {angle}, {dots} dots', verb: 'Print it in one to four inks', also: ['halftone', 'separation', 'screen print', 'dots'], labels: { inks: 'ink', lpi: 'lines to the inch', angle: 'screen angle', dots: 'shape of dots' } },
    photocopied: {
        sentence: 'Photocopied, the {parts} parts in {colour}: brightness {brightness}, contrast {contrast}, black above {threshold}, grain {grain}, pattern {seed}', verb: 'Photocopy it', also: ['xerox', 'copy', 'threshold', 'punk'],
        labels: { parts: 'parts that print', colour: 'toner colour', brightness: 'copy brightness', contrast: 'copy contrast', threshold: 'threshold', grain: 'grain', seed: 'grain number' },
    },
    roughened: { sentence: 'Roughen edges by {by}, ripples of {size}, pattern {seed}', verb: 'Roughen its edges', also: ['ragged', 'rough', 'ripple'], labels: { by: 'roughness', size: 'ripple size', seed: 'ripple number' } },
    stamped: { sentence: 'Stamped: {amount} missing in blots of {size}, pattern {seed}', verb: 'Stamp it', also: ['rubber', 'stamp', 'uneven ink'], labels: { amount: 'missing ink', size: 'blot size', seed: 'blot number' } },
    airbrushed: { sentence: 'Airbrushed, {character}, soft over {softness}', verb: 'Airbrush its edges', also: ['soft', 'blur', 'glow', 'painted', 'smooth', 'glossy'], labels: { softness: 'softness', character: 'character' } },
    posterised: { sentence: 'Posterised to {count} colours', verb: 'Posterise its colours', also: ['few colours', 'reduce'], labels: { count: 'number of colours' } },
    shadow: { sentence: 'Shadow {distance} away at {angle} in {colour}, as a {as}', verb: 'Cast a hard shadow', also: ['drop shadow', 'extrude', 'block', '3d', 'offset'], labels: { distance: 'shadow distance', angle: 'shadow angle', colour: 'shadow colour', as: 'shadow as' } },
};

export const textureWords: Record<string, string> = { speckle: 'fine speckle', picture: 'a picture' };


/** Words and parameters in order, such as "Arch " and bend; without parameters that have no effect, here or on this layer. */
export function parts(line: EffectLine, parameters: Parameter[], idle: string[] = []): (string | Parameter)[] {
    const wording = effectWords[line.kind];
    const hidden = [...(wording?.hides?.(line) ?? []), ...idle];
    let sentence = wording?.sentence ?? `${line.kind} ${parameters.map((p) => `{${p.name}}`).join(', ')}`;
    for (const name of hidden) {
        // Also remove the words that lead to it.
        sentence = sentence.replace(new RegExp(`(, (?:points up to |about |crumbs under )?| )?\\{${name}\\}( corners| ×| dropped)?`), '');
    }
    return sentence
        .split(/(\{\w+\})/)
        .filter((part) => part !== '')
        .map((part) => parameters.find((parameter) => `{${parameter.name}}` === part) ?? part);
}

export function label(kind: string, parameter: string): string {
    return effectWords[kind]?.labels[parameter] ?? parameter;
}

export const inches = (value: number): string => `${value.toFixed(2)} in`;

export function ago(iso: string): string {
    const minutes = Math.round((Date.now() - new Date(iso).getTime()) / 60000);
    if (minutes < 1) {
        return 'just now';
    }
    if (minutes < 60) {
        return `${minutes} min ago`;
    }
    return minutes < 1440 ? `${Math.round(minutes / 60)} h ago` : new Date(iso).toISOString().slice(0, 10);
}
