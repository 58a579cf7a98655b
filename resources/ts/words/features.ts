import type { FormOfLetter } from '../types';

/** Plain names of OpenType features that draw letters otherwise (OpenType 1.9, "Registered features"). */
const names: Record<string, string> = {
    aalt: 'another form', afrc: 'upright fraction', c2pc: 'petite capital', c2sc: 'small capital', calt: 'as its neighbours ask', case: 'for capitals', clig: 'joined by its neighbours', cswh: 'swash by its neighbours',
    dlig: 'rare ligature', dnom: 'foot of a fraction', expt: 'expert form', falt: 'end of a line', fina: 'end of a word', frac: 'fraction', hist: 'historical form', hlig: 'historical ligature', init: 'beginning of a word',
    isol: 'alone', liga: 'ligature', lnum: 'tall figure', medi: 'middle of a word', nalt: 'in a ring or box', numr: 'head of a fraction', onum: 'old-style figure', ordn: 'ordinal', ornm: 'ornament', pcap: 'petite capital',
    pnum: 'narrow figure', rand: 'by chance', salt: 'alternate', sinf: 'scientific inferior', smcp: 'small capital', subs: 'below the line', sups: 'above the line', swsh: 'swash', titl: 'for titles', tnum: 'figure for tables', unic: 'unicase', zero: 'crossed zero',
};

const off: Record<string, string> = { liga: 'not joined', clig: 'not joined', calt: 'whatever its neighbours' };

/** What a form of a letter is called: by the font itself, or by its feature. */
export function called({ tag, value, name }: FormOfLetter): string {
    if (tag === '') {
        return 'as usual';
    }
    if (value === 0) {
        return off[tag] ?? `without ${tag}`;
    }
    const set = /^(ss|cv)(\d\d)$/.exec(tag);
    const plain = name || (set ? `${set[1] === 'ss' ? 'set' : 'variant'} ${Number(set[2])}` : (names[tag] ?? tag));
    return value > 1 || tag === 'aalt' ? `${plain} ${value}` : plain;
}
