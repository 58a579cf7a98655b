<?php

declare(strict_types=1);

/**
 * Makes the trial set of the checks: php core/tests/Preflight/make-trial.php. Every case is a small sheet or file of which it is known what is wrong;
 * `bin/crow trial core/tests/Preflight/trial --shelf core/tests/fixtures/assets` runs them.
 */
$folder = __DIR__.'/trial';
foreach (glob("$folder/*") ?: [] as $old) {
    unlink($old);
}
$made = 0;
$case = function (string $name, string $says, array $what, array $faults, array $fine) use ($folder, &$made): void {
    file_put_contents(sprintf('%s/%02d-%s.json', $folder, ++$made, $name), json_encode(['says' => $says] + $what + ['faults' => $faults, 'fine' => $fine], JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)."\n");
};
$magick = fn (string ...$words) => exec('convert '.implode(' ', array_map(escapeshellarg(...), $words)));
$sheet = fn (array $layers, array $cloths = ['Black' => '#17181a'], array $more = []): array => ['sheet' => $more + [
    'format' => 'tallcrow.artwork/3', 'title' => 'Trial', 'product' => 'tee', 'side' => 'front', 'method' => 'dtg', 'rule' => 'strict-300',
    'sheet' => ['width' => 1800, 'height' => 1800, 'ppi' => 300], 'garments' => array_map(fn (string $name, string $hex): array => ['name' => $name, 'colour' => $hex], array_keys($cloths), $cloths),
    'layers' => $layers, 'distress' => [],
]];
$place = fn (float $x, float $y, float $width, ?float $height = null, float $turn = 0): array => ['x' => $x, 'y' => $y, 'width' => $width, 'height' => $height, 'turn' => $turn, 'flip' => 'none'];
$fill = fn (string $colour): array => ['kind' => 'fill', 'colour' => $colour];
$ring = fn (float $width, string $colour, array $more = []): array => $more + ['kind' => 'outline', 'width' => $width, 'colour' => $colour];
$words = fn (string $id, string $text, array $at, array $effects, string $font = 'anton.woff2', array $more = []): array => $more + ['id' => $id, 'source' => ['kind' => 'text', 'text' => $text, 'font' => $font], 'placement' => $at, 'effects' => $effects];
$shape = fn (string $id, string $shape, array $at, array $effects, array $more = []): array => $more + ['id' => $id, 'source' => ['kind' => 'shape', 'shape' => $shape], 'placement' => $at, 'effects' => $effects];
$art = fn (string $id, string $file, array $at, array $effects = [], array $more = []): array => $more + ['id' => $id, 'source' => ['kind' => 'art', 'file' => $file], 'placement' => $at, 'effects' => $effects];
$bone = '#f3ead7';
$all = ['blank', 'sheet', 'edge', 'haze', 'vanish', 'scraps', 'line-fine', 'gap-fine', 'small', 'centre', 'line', 'order', 'weight', 'cut', 'covered', 'sunk', 'uneven', 'word', 'ppi', 'background', 'method', 'knockout', 'filled', 'reads', 'unwritten'];

// Ink on cloth.
$case('plain', 'bone words on black', $sheet([$words('w', 'MOTH NIGHT', $place(3, 3, 5), [$fill($bone)])]), [], $all);
$case('dark-on-dark', 'navy words on black, contrast 1.3', $sheet([$words('w', 'MOTH NIGHT', $place(3, 3, 5), [$fill('#16243f')])]), ['vanish:Black'], ['sunk']);
$case('maroon-on-forest', 'dark red words on forest', $sheet([$words('w', 'KITE DAY', $place(3, 3, 5), [$fill('#4a1216')])], ['Forest' => '#1d3323']), ['vanish:Forest'], []);
$case('small-dark-line', 'a dark second line under bone words', $sheet([$words('a', 'KITE', $place(3, 2, 5), [$fill($bone)]), $words('b', 'day', $place(3, 4.2, 1.4), [$fill('#232a33')])], ['Black' => '#17181a']), ['vanish:Black'], []);
$case('bird-on-white', 'a white disc edged in dark line on white', $sheet([$shape('b', 'ellipse', $place(3, 3, 4), [$fill('#ffffff'), $ring(0.06, '#1f1d1a')])], ['White' => '#fdfdfb']), [], ['vanish']);
$case('inner-ring', 'a white ring between two dark ones on white', $sheet([$words('w', 'BELL', $place(3, 3, 4.6), [$fill('#8c2f23'), $ring(0.05, '#ffffff'), $ring(0.06, '#1f1d1a')])], ['White' => '#fdfdfb']), [], ['vanish']);
$case('leopard-on-black', 'a paper of black spots on black', $sheet([$shape('p', 'rectangle', $place(3, 3, 4, 3), [['kind' => 'paper', 'paper' => 'animal-spots', 'colours' => ['#17181a', '#d9a441', '#5c3410']]])]), [], ['vanish']);
$case('red-on-green', 'red words on green of like lightness', $sheet([$words('w', 'POOL', $place(3, 3, 5), [$fill('#c8372d')])], ['Leaf' => '#2f7d3a']), [], ['vanish']);
$case('two-cloths', 'bone words lost on oat, read on black', $sheet([$words('w', 'POOL', $place(3, 3, 5), [$fill($bone)])], ['Black' => '#17181a', 'Oat' => '#e4d9c3']), ['vanish:Oat'], ['vanish:Black']);
$case('edged-dark', 'black words in a bone ring on black', $sheet([$words('w', 'POOL', $place(3, 3, 5), [$fill('#17181a'), $ring(0.06, $bone)])]), [], ['vanish']);

$case('charcoal-on-black', 'charcoal words on black, contrast 1.5', $sheet([$words('w', 'MOTH NIGHT', $place(3, 3, 5), [$fill('#30353b')])]), ['vanish:Black'], []);
$case('gold-on-navy', 'gold words on navy', $sheet([$words('w', 'MOTH NIGHT', $place(3, 3, 5), [$fill('#d9a441')])], ['Navy' => '#1b2742']), [], ['vanish']);
$case('gold-on-oat', 'a gold sun and a bone word ringed in rust, worn, on oat', $sheet([$shape('s', 'ellipse', $place(3, 3, 5), [$fill('#d9a441')]), $words('w', 'KITE', $place(3, 3, 4), [$fill($bone), $ring(0.09, '#b04a2c')])], ['Oat' => '#e4d9c3'], ['distress' => [['texture' => 'speckle', 'amount' => 0.08, 'seed' => 4]]]), [], ['vanish']);
$case('hair-before-sky', 'black hair before a gold sky on black', $sheet([$shape('s', 'ellipse', $place(3, 3, 5), [$fill('#d9a441')]), $shape('h', 'ellipse', $place(3, 3, 2, 3), [$fill('#17181a')])]), [], ['vanish']);

// Haze.
$case('feather', 'a plate with a feather of half an inch on black', $sheet([$shape('p', 'rectangle', $place(3, 3, 4, 3), [$fill($bone)], ['masks' => [['kind' => 'ellipse', 'x' => 0.5, 'y' => 0.5, 'width' => 0.8, 'height' => 0.8, 'feather' => 0.5]]])]), ['haze'], []);
$case('feather-white', 'the same on white cloth', $sheet([$shape('p', 'rectangle', $place(3, 3, 4, 3), [$fill('#8c2f23')], ['masks' => [['kind' => 'ellipse', 'x' => 0.5, 'y' => 0.5, 'width' => 0.8, 'height' => 0.8, 'feather' => 0.5]]])], ['White' => '#fdfdfb']), [], ['haze', 'vanish']);
$case('weak', 'words printed at half strength', $sheet([$words('w', 'POOL', $place(3, 3, 5), [$fill($bone)], 'anton.woff2', ['opacity' => 0.5])]), ['haze'], []);
$case('feather-dots', 'a feather ended in halftone', $sheet([$shape('p', 'rectangle', $place(3, 3, 4, 3), [$fill($bone), ['kind' => 'halftone', 'lpi' => 25]], ['masks' => [['kind' => 'ellipse', 'x' => 0.5, 'y' => 0.5, 'width' => 0.8, 'height' => 0.8, 'feather' => 0.5]]])]), [], ['haze', 'scraps']);
$case('speckled', 'fine speckle on words: crisp at print', $sheet([$words('w', 'POOL', $place(3, 3, 5), [$fill($bone)])], more: ['distress' => [['texture' => 'speckle', 'amount' => 0.12, 'seed' => 4]]]), [], ['haze', 'word', 'scraps', 'wear']);

// Order.
$case('warp-after-ring', 'an arch after a ring', $sheet([$words('w', 'KITE DAY', $place(3, 3, 5), [$fill($bone), $ring(0.1, '#b04a2c'), ['kind' => 'arch', 'bend' => 0.5]])]), ['order'], []);
$case('fill-then-ring', 'a gradient before a ring: the picture is the same', $sheet([$words('w', 'KITE DAY', $place(3, 3, 5), [['kind' => 'gradient', 'colours' => ['#b04a2c', '#d9a441'], 'angle' => 90], $ring(0.1, $bone)])]), [], ['order']);

// Alignment and centre.
$case('off-middle', 'a line 0.05 in off the middle of the one above', $sheet([$words('a', 'KITE DAY', $place(3, 2, 5), [$fill($bone)]), $words('b', 'QUARRY ROAD', $place(3.05, 4, 3), [$fill($bone)])]), ['line:b'], ['centre']);
$case('turned', 'a word turned about the very middle', $sheet([$words('a', 'KITE DAY', $place(3, 2, 5), [$fill($bone)]), $words('b', 'Jaunty', $place(3, 4, 3, null, -9), [$fill($bone)])]), [], ['line', 'centre']);
$case('shaken', 'letters shaken on purpose', $sheet([$words('a', 'KITE DAY', $place(3, 2, 5), [$fill($bone)]), $words('b', 'POOLS', $place(3.03, 4, 3), [$fill($bone), ['kind' => 'jitter', 'shift' => 0.1, 'turn' => 6, 'size' => 0.1, 'seed' => 3]])]), [], ['line']);
$case('whole-off', 'the whole design 0.1 in off the middle', $sheet([$words('a', 'KITE DAY', $place(3.1, 2, 5), [$fill($bone)]), $words('b', 'POOLS', $place(3.1, 4, 3), [$fill($bone)])]), ['centre'], []);
$case('chest', 'a small print at one side, as meant', $sheet([$words('a', 'KITE', $place(4.6, 1.4, 1.8), [$fill($bone)])]), [], ['centre', 'line']);

// Weight.
$case('thin-beside', 'a hairline script beside slab letters', $sheet([$words('a', 'KITE', $place(3, 1.6, 5), [$fill($bone)], 'ultra.woff2'), $words('c', 'DAYS', $place(3, 3.4, 5), [$fill($bone)], 'ultra.woff2'), $words('b', 'on the hill', $place(3, 5, 3.4), [$fill($bone)], 'homemade-apple.woff2')]), ['weight'], []);
$case('small-print', 'small print under large letters is meant', $sheet([$words('a', 'KITE', $place(3, 2, 5), [$fill($bone)], 'ultra.woff2'), $words('b', 'QUARRY ROAD 1931', $place(3, 4.6, 2), [$fill($bone)], 'anton.woff2')]), [], ['weight', 'small']);
$case('blackletter', 'blackletter beside a sans', $sheet([$words('a', 'Bell Ringers', $place(3, 2, 5), [$fill($bone)], 'pirata-one.woff2'), $words('b', 'QUARRY ROAD', $place(3, 4.4, 4), [$fill($bone)], 'bebas-neue.woff2')]), [], ['weight']);

// Worn, masked, knocked-out and covered words.
$case('worn-out', 'small words worn by large cracks', $sheet([$words('w', 'MOTHS', $place(3, 3, 2.4), [$fill($bone)])], more: ['distress' => [['texture' => 'speckle', 'amount' => 0.72, 'seed' => 4]]]), ['word'], []);
$case('group-worn', 'words within a group, worn away', $sheet([['id' => 'g', 'source' => ['kind' => 'group', 'layers' => [$words('w', 'MOTHS', $place(3, 3, 3), [$fill($bone)])]], 'effects' => [], 'distress' => [['texture' => 'speckle', 'amount' => 0.75, 'seed' => 4]]]]), ['word'], []);
$case('mask-eats', 'a mask cuts through the last letters', $sheet([$words('w', 'MOTHS', $place(3, 3, 4), [$fill($bone)], 'anton.woff2', ['masks' => [['kind' => 'rectangle', 'x' => 0.3, 'y' => 0.5, 'width' => 0.6, 'height' => 2, 'feather' => 0]]])]), ['word'], []);
$case('knocked', 'a knockout takes the middle of a word', $sheet([$words('w', 'MOTHS', $place(3, 3, 4), [$fill($bone)]), $shape('k', 'ellipse', $place(3, 3, 1.8, 1.4), [], ['role' => ['kind' => 'knockout', 'gap' => 0.0]])]), ['word'], []);
$case('worn-lightly', 'a tenth of wear leaves words', $sheet([$words('w', 'MOTHS', $place(3, 3, 4), [$fill($bone)])], more: ['distress' => [['texture' => 'scratches', 'amount' => 0.1, 'seed' => 4]]]), [], ['word', 'haze', 'scraps']);
$case('hidden-word', 'a word behind a plate', $sheet([$words('w', 'MOTHS', $place(3, 3, 3), [$fill($bone)]), $shape('p', 'rectangle', $place(3, 3, 4, 2), [$fill('#b04a2c')])]), ['covered:w'], []);
$case('navy-on-navy', 'navy words on a navy plate', $sheet([$shape('p', 'rectangle', $place(3, 3, 5, 3), [$fill('#26375c')]), $words('w', 'MOTHS', $place(3, 3, 3), [$fill('#22304f')])], ['White' => '#fdfdfb']), ['sunk:w'], []);
$case('bone-on-rust', 'bone words on a rust plate', $sheet([$shape('p', 'rectangle', $place(3, 3, 5, 3), [$fill('#b04a2c')]), $words('w', 'MOTHS', $place(3, 3, 3), [$fill($bone)])]), [], ['sunk', 'covered', 'word']);
$case('half-behind', 'a sun half behind a word', $sheet([$shape('s', 'ellipse', $place(3, 2.6, 3), [$fill('#d9a441')]), $words('w', 'MOTHS', $place(3, 3.2, 5), [$fill($bone), $ring(0.06, '#17181a')])]), [], ['covered', 'sunk']);

// Edges.
$case('cut-at-edge', 'a plate that runs off the sheet', $sheet([$shape('p', 'rectangle', $place(3, 0.6, 4, 2), [$fill($bone)])]), ['edge'], []);
$case('box-over-edge', 'an empty corner of a star\'s box lies over the edge', $sheet([$shape('p', 'ellipse', $place(3, 3, 5.7), [$fill($bone)])]), [], ['edge']);

// Nothing, twice, off.
$case('no-layers', 'no layers at all', $sheet([]), ['blank'], []);
$case('blank-text', 'a text of spaces', $sheet([$words('w', '   ', $place(3, 3, 4), [$fill($bone)]), $words('v', 'POOL', $place(3, 3, 4), [$fill($bone)])]), ['blank'], []);
$case('off-sheet', 'a star wholly off the sheet', $sheet([$words('v', 'POOL', $place(3, 3, 4), [$fill($bone)]), $shape('s', 'star', $place(12, 3, 2), [$fill($bone)])]), ['blank'], ['edge']);
$case('twice', 'the same word twice on itself', $sheet([$words('v', 'POOL', $place(3, 3, 4), [$fill($bone)]), $words('w', 'POOL', $place(3, 3, 4), [$fill($bone)])]), ['blank'], []);

// Fine detail.
$case('hairlines', 'hatching of 0.006 in', $sheet([$shape('p', 'rectangle', $place(3, 3, 4, 3), [['kind' => 'hatch', 'spacing' => 0.06, 'width' => 0.006, 'angle' => 45, 'inset' => 0, 'as' => 'ink', 'colour' => $bone], ['kind' => 'hollow', 'width' => 0.05, 'colour' => $bone]])]), ['line-fine'], []);
$case('fine-gaps', 'words ringed with a gap of 0.007 in', $sheet([$words('w', 'MOTHS', $place(3, 3, 5), [$fill($bone), ['kind' => 'gap', 'width' => 0.007], $ring(0.1, '#b04a2c')])]), ['gap-fine'], []);
$case('sound-gaps', 'a gap of 0.04 in and lines of 0.03 in', $sheet([$words('w', 'MOTHS', $place(3, 3, 5), [['kind' => 'letter-spacing', 'by' => 220], $fill($bone), ['kind' => 'gap', 'width' => 0.04], $ring(0.03, '#b04a2c')])]), [], ['gap-fine', 'line-fine', 'scraps']);
$case('tiny-words', 'a line of words 0.04 in high', $sheet([$words('a', 'KITE', $place(3, 2, 5), [$fill($bone)]), $words('b', 'made by hand in the yard behind the mill', $place(3, 4, 0.9), [$fill($bone)], 'courier-prime.woff2')]), ['small'], []);
$case('sound-words', 'words a quarter of an inch high', $sheet([$words('b', 'tide-pool rangers', $place(3, 4, 4), [$fill($bone)], 'graduate.woff2')]), [], ['small', 'line-fine']);

// Spelling.
$case('misspelt', 'a letter too many', $sheet([$words('w', 'MOTH NIGHTT', $place(3, 3, 5), [$fill($bone)])]), ['spelling'], []);
$case('misspelt-line', 'a slip in the second of two lines', $sheet([$words('w', "tide pool\nrangres", $place(3, 3, 4), [$fill($bone)])]), ['spelling'], []);
$case('spelt', 'words as the dictionary has them', $sheet([$words('w', "Bell ringers'\nfair 1931", $place(3, 3, 4), [$fill($bone)])]), [], ['spelling']);
$case('spelt-german', 'words of another language', $sheet([$words('w', "Drachen über\nden Hügeln", $place(3, 3, 4), [$fill($bone)])]), [], ['spelling']);

// Unevenness.
$case('uneven-capitals', 'two lines of one face, 3 % apart', $sheet([$words('a', 'KITE', ['capitals' => 0.8] + ['x' => 3, 'y' => 2, 'width' => null, 'height' => null], [$fill($bone)]), $words('b', 'POOL', ['capitals' => 0.776] + ['x' => 3, 'y' => 4, 'width' => null, 'height' => null], [$fill($bone)])]), ['uneven'], []);
$case('uneven-colour', 'two creams that were meant as one', $sheet([$words('a', 'KITE', $place(3, 2, 4), [$fill('#f3ead7')]), $words('b', 'POOLS', $place(3, 4, 3), [$fill('#f1e8d6')])]), ['uneven'], []);
$case('even', 'two sizes clearly apart', $sheet([$words('a', 'KITE', $place(3, 2, 4), [$fill($bone), $ring(0.08, '#b04a2c')]), $words('b', 'POOLS', $place(3, 4, 3), [$fill($bone), $ring(0.04, '#b04a2c')])]), [], ['uneven', 'weight']);

// Method.
$case('sublimation-dark', 'sublimation on black', $sheet([$words('a', 'KITE', $place(3, 3, 4), [$fill($bone)])], ['Black' => '#17181a', 'White' => '#fdfdfb'], ['method' => 'sublimation']), ['method'], []);
$case('sublimation-light', 'sublimation on white', $sheet([$words('a', 'KITE', $place(3, 3, 4), [$fill('#8c2f23')])], ['White' => '#fdfdfb'], ['method' => 'sublimation']), [], ['method', 'vanish']);
$case('plate-transfer', 'a transfer of one solid plate', ['sheet' => ['sheet' => ['width' => 3600, 'height' => 3600, 'ppi' => 300]] + $sheet([$shape('p', 'rectangle', $place(6, 6, 11, 10), [$fill($bone)])], more: ['method' => 'transfer'])['sheet']], ['solid'], []);

$case('tiles-transfer', 'a transfer of four hundred small tiles: it bends between them', ['sheet' => ['sheet' => ['width' => 3600, 'height' => 3600, 'ppi' => 300]] + $sheet([['id' => 'g', 'source' => ['kind' => 'shape', 'shape' => 'rectangle'], 'placement' => $place(6, 6, 11, 11), 'effects' => [['kind' => 'paper', 'paper' => 'squared', 'scale' => 1]], 'masks' => [['kind' => 'picture', 'file' => 'tiles.png']]]], more: ['method' => 'transfer'])['sheet']], [], ['solid']);

// Colours, dots, letters, listings.
$case('neon', 'glaring green and blue that process inks do not hold', $sheet([$words('a', 'KITE', $place(3, 2, 5), [$fill('#00ff2a')]), $words('b', 'POOL', $place(3, 4.4, 5), [$fill('#1000ff')])]), ['gamut'], ['vanish']);
$case('earth', 'earth colours that they hold', $sheet([$words('a', 'KITE', $place(3, 2, 5), [$fill('#b04a2c')]), $words('b', 'POOL', $place(3, 4.4, 5), [$fill('#d9a441')])]), [], ['gamut', 'thumbnail', 'collide']);
$case('fine-screen', 'a transfer screened at 70 lines', $sheet([$shape('p', 'rectangle', $place(3, 3, 4, 3), [$fill($bone), ['kind' => 'halftone', 'lpi' => 70]], ['masks' => [['kind' => 'ellipse', 'x' => 0.5, 'y' => 0.5, 'width' => 0.8, 'height' => 0.8, 'feather' => 0.5]]])], more: ['method' => 'transfer']), ['dots'], []);
$case('usual-screen', 'a print screened at 45 lines', $sheet([$shape('p', 'rectangle', $place(3, 3, 4, 3), [$fill($bone), ['kind' => 'halftone', 'lpi' => 45]], ['masks' => [['kind' => 'ellipse', 'x' => 0.5, 'y' => 0.5, 'width' => 0.8, 'height' => 0.8, 'feather' => 0.5]]])]), [], ['dots', 'haze']);
$case('tight', 'letters pushed into one another', $sheet([$words('w', 'BELL RINGERS', $place(3, 3, 5), [['kind' => 'letter-spacing', 'by' => -160], $fill($bone)])]), ['collide'], []);
$case('tight-lines', 'lines set so close that they run together', $sheet([['id' => 'w', 'source' => ['kind' => 'text', 'text' => "BELL\nRINGERS", 'font' => 'anton.woff2', 'align' => 'centre', 'leading' => 0.5], 'placement' => $place(3, 3, 4), 'effects' => [$fill($bone)]]]), ['collide'], []);
$case('script', 'a script whose letters join', $sheet([$words('w', 'moth night', $place(3, 3, 5), [$fill($bone)], 'homemade-apple.woff2')]), [], ['collide']);
$case('stacked', 'two lines set close, not touching', $sheet([['id' => 'w', 'source' => ['kind' => 'text', 'text' => "BELL\nRINGERS", 'font' => 'anton.woff2', 'align' => 'centre', 'leading' => 0.85], 'placement' => $place(3, 3, 4), 'effects' => [$fill($bone)]]]), [], ['collide']);
$case('no-word-in-a-listing', 'a wide plate whose only words are small', $sheet([$shape('p', 'ellipse', $place(3, 2.4, 5, 3), [$fill('#d9a441')]), $words('w', 'made by hand on the hill', $place(3, 5, 2), [$fill($bone)])]), ['thumbnail'], ['small']);

// Pictures.
$magick('-size', '440x440', 'xc:black', '-fill', 'white', '-draw', implode(' ', array_map(fn (int $i): string => sprintf('rectangle %1$d,%2$d %3$d,%4$d', 4 + $i % 20 * 22, 4 + intdiv($i, 20) * 22, 18 + $i % 20 * 22, 18 + intdiv($i, 20) * 22), range(0, 399))), "PNG24:$folder/tiles.png");
$magick('-size', '700x500', 'xc:#f7f6f1', '-seed', '3', '-attenuate', '0.15', '+noise', 'Gaussian', '-fill', '#7a3527', '-draw', 'circle 350,250 350,80', '-fill', '#d9a441', '-draw', 'circle 350,250 350,170', "PNG24:$folder/scan.png");
$magick('-size', '700x500', 'xc:none', '-fill', '#7a3527', '-draw', 'circle 350,250 350,80', '-fill', '#d9a441', '-draw', 'circle 350,250 350,170', "PNG32:$folder/freed.png");
$magick('-size', '700x500', 'xc:none', '-fill', '#7a3527', '-draw', 'circle 350,310 350,30', '(', '+clone', '-alpha', 'transparent', '-draw', 'color 0,0 reset', ')', '-delete', '1', '-region', '700x500+0+420', '-alpha', 'transparent', "PNG32:$folder/bust-raw.png");
$magick('-size', '560x420', 'xc:none', '-fill', '#7a3527', '-draw', 'ellipse 280,420 250,380 0,360', '-fill', '#d9a441', '-draw', 'circle 280,220 280,120', "PNG32:$folder/bust.png");
$magick('-size', '700x500', 'xc:none', '-fill', 'white', '-draw', 'circle 350,250 350,74', '-fill', '#7a3527', '-draw', 'circle 350,250 350,80', "PNG32:$folder/halo.png");
$magick('-size', '700x500', 'xc:white', '-fill', '#203050', '-draw', 'roundrectangle 80,80 620,420 30,30', '-fill', 'white', '-draw', 'circle 220,250 220,180 circle 470,250 470,180', "PNG24:$folder/pockets.png");
file_put_contents("$folder/box.svg", '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 200 160"><rect width="200" height="160" fill="#ffffff"/><circle cx="100" cy="80" r="60" fill="#7a3527"/></svg>');
file_put_contents("$folder/plate.svg", '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 200 160"><rect width="200" height="160" fill="#7a3527"/><circle cx="100" cy="80" r="60" fill="#f3ead7"/></svg>');
unlink("$folder/bust-raw.png");
$case('scan', 'a scan that stands on its paper', $sheet([$art('p', 'scan.png', $place(3, 3, 2.2))]), ['background:p'], []);
$case('scan-dot', 'the same with one dot of the brush', $sheet([$art('p', 'scan.png', $place(3, 3, 2.2), [], ['masks' => [['kind' => 'brush', 'strokes' => [['points' => [[0.5, 0.5]], 'width' => 0.1]]]]])]), ['background:p'], []);
$case('freed', 'art on a clear ground', $sheet([$art('p', 'freed.png', $place(3, 3, 1.1))]), [], ['background', 'cut', 'ppi', 'haze', 'edge']);
$case('cleared-scan', 'the scan cleared from its edge', $sheet([$art('p', 'scan.png', $place(3, 3, 2.2), [['kind' => 'clear-edge', 'tolerance' => 14]])]), [], ['background']);
$case('halo', 'a white rim of 6 px about a disc', $sheet([$art('p', 'halo.png', $place(3, 3, 2.2))]), ['background:p'], []);
$case('pockets', 'white left in two eyes of a sign', $sheet([$art('p', 'pockets.png', $place(3, 3, 2.2), [['kind' => 'clear-edge', 'tolerance' => 14]])]), ['background:p'], []);
$case('svg-box', 'a drawing on a white box', $sheet([$art('p', 'box.svg', $place(3, 3, 3))]), ['background:p'], []);
$case('svg-plate', 'a drawing that is a plate', $sheet([$art('p', 'plate.svg', $place(3, 3, 3))]), [], ['background']);
$case('low-ppi', '700 px printed 5 in wide', $sheet([$art('p', 'freed.png', $place(3, 3, 5))]), ['ppi:p'], []);
$case('low-ppi-traced', 'the same, traced', $sheet([$art('p', 'freed.png', $place(3, 3, 5), [['kind' => 'traced', 'count' => 2]])]), [], ['ppi']);
$case('low-ppi-letters', '700 px seen through letters 5 in wide', $sheet([$words('w', 'POOL', $place(3, 3, 5), [['kind' => 'picture', 'file' => 'scan.png']])], ['Black' => '#17181a']), ['ppi:w'], []);
$case('bust', 'a bust that ends in a straight line in mid-air', $sheet([$art('p', 'bust.png', $place(3, 2.4, 1.6))]), ['cut:p'], ['background']);
$case('bust-on-bar', 'the same standing on a bar', $sheet([$art('p', 'bust.png', $place(3, 2.4, 1.8)), $shape('s', 'rectangle', $place(3, 3.2, 3, 0.4), [$fill('#d9a441')])]), [], ['cut']);

// Files.
$file = fn (string $name, array $more = []): array => ['file' => $name] + $more;
$disc = ['-size', '900x900', 'xc:none', '-fill', '#f3ead7', '-draw', 'circle 450,450 450,100'];
$magick(...$disc, ...['-units', 'PixelsPerInch', '-density', '300', "PNG32:$folder/right.png"]);
$magick(...$disc, ...['-units', 'PixelsPerInch', '-density', '72', "PNG32:$folder/ppi72.png"]);
$magick(...$disc, ...['-units', 'PixelsPerInch', '-density', '300', '-depth', '16', "PNG64:$folder/deep.png"]);
$magick(...$disc, ...['-units', 'PixelsPerInch', '-density', '300', '-interlace', 'PNG', "PNG32:$folder/interlaced.png"]);
$magick('-size', '900x900', 'xc:none', '-units', 'PixelsPerInch', '-density', '300', "PNG32:$folder/blank.png");
$magick('-size', '900x900', 'xc:#c03020', '(', '-size', '900x900', 'xc:black', '-fill', 'white', '-draw', 'circle 450,450 450,100', ')', '-alpha', 'off', '-compose', 'CopyOpacity', '-composite', '-units', 'PixelsPerInch', '-density', '300', "PNG32:$folder/hidden.png");
$magick(...$disc, ...['-channel', 'A', '-blur', '0x1.7', '+channel', '-units', 'PixelsPerInch', '-density', '300', "PNG32:$folder/fringe.png"]);
$specks = implode(' ', array_map(fn (int $i): string => sprintf('rectangle %1$d,%2$d %3$d,%4$d', 30 + $i * 47 % 840, 30 + $i * 91 % 60, 32 + $i * 47 % 840, 32 + $i * 91 % 60), range(0, 29)));
$magick(...$disc, ...['-draw', $specks, '-units', 'PixelsPerInch', '-density', '300', "PNG32:$folder/specks.png"]);
$magick('-size', '900x900', 'xc:none', '-fill', '#f3ead7', '-draw', implode(' ', array_map(fn (int $i): string => sprintf('rectangle 100,%d 800,%d', 100 + 40 * $i, 101 + 40 * $i), range(0, 17))), '-units', 'PixelsPerInch', '-density', '300', "PNG32:$folder/hairlines.png");
$magick('-size', '900x900', 'xc:none', '-fill', 'white', '-draw', 'rectangle 100,100 800,800', '-fill', '#7a3527', '-draw', 'circle 450,450 450,200', '-units', 'PixelsPerInch', '-density', '300', "PNG32:$folder/boxed.png");
$files = ['file-ppi', 'file-depth', 'file-interlace', 'file-profile', 'file-hidden', 'file-fringe', 'file-palette', 'blank', 'scraps', 'line-fine', 'background', 'haze', 'edge'];
$case('file-right', 'a file as houses take it', $file('right.png'), [], $files);
$case('file-72', 'a stated 72 ppi', $file('ppi72.png'), ['file-ppi'], []);
$case('file-16', '16 bits to a sample', $file('deep.png'), ['file-depth'], ['file-ppi']);
$case('file-interlaced', 'interlaced', $file('interlaced.png'), ['file-interlace'], []);
$case('file-blank', 'all clear', $file('blank.png'), ['blank'], []);
$case('file-hidden', 'colour under clear pixels', $file('hidden.png'), ['file-hidden'], ['blank']);
$case('file-fringe', 'a soft fringe of some pixels', $file('fringe.png'), ['file-fringe'], []);
$case('file-specks', 'thirty specks of 3 px', $file('specks.png'), ['scraps'], []);
$case('file-hairlines', 'lines of two pixels', $file('hairlines.png'), ['line-fine'], ['scraps']);
$case('file-boxed', 'art in a white box on a clear ground', $file('boxed.png'), ['background'], []);
$case('file-area', '900 px where 1200 are asked', $file('right.png', ['area' => [1200, 1200]]), ['file-area'], []);

// Words and pieces knocked out of a plate of 5 × 3 in.
$plate = $shape('p', 'rectangle', $place(3, 3, 5, 3), [$fill($bone)]);
$out = ['role' => ['kind' => 'knockout', 'gap' => 0.0]];
$case('knocked-plate', 'words knocked out of a plate', $sheet([$plate, $words('w', 'MOTH NIGHT', $place(3, 3, 4), [$fill($bone)], 'anton.woff2', $out)]), [], $all);
$case('knocked-nothing', 'words knocked out beside the plate', $sheet([$shape('p', 'rectangle', $place(3, 2, 5, 2), [$fill($bone)]), $words('w', 'MOTH', $place(3, 5, 2), [$fill($bone)], 'anton.woff2', $out)]), ['knockout'], ['covered']);
$case('knocked-beyond', 'words of which a third lies beside the plate', $sheet([$shape('p', 'rectangle', $place(2.4, 3, 3.6, 3), [$fill($bone)]), $words('w', 'MOTH NIGHT', $place(3.6, 3, 4), [$fill($bone)], 'anton.woff2', $out)]), ['knockout'], ['small']);
$case('knocked-bite', 'a disc that bites into a plate from beside it', $sheet([$plate, $shape('d', 'ellipse', $place(5.4, 3, 1.5), [$fill($bone)], $out)]), [], ['knockout', 'covered']);
$case('knocked-small', 'words of 0.04 in knocked out', $sheet([$plate, $words('w', 'quarry road tide pool rangers', $place(3, 3, 0.9), [$fill($bone)], 'special-elite.woff2', $out)]), ['small'], ['knockout']);
$case('knocked-scan', 'a scan on its paper that is knocked out', $sheet([$plate, $art('s', 'scan.png', $place(3, 3, 1.5), [], $out)]), ['background:s'], ['knockout']);
$case('knocked-coarse', 'a coarse picture that is knocked out', $sheet([$plate, $art('s', 'freed.png', $place(3, 3, 4.5), [], $out)]), ['ppi:s'], ['knockout']);
$case('knocked-collide', 'knocked out letters that lie in one another', $sheet([$plate, $words('w', 'HHHH', $place(3, 3, 3), [$fill($bone), ['kind' => 'letter-spacing', 'by' => -300]], 'anton.woff2', $out)]), ['collide'], ['knockout']);
$case('knocked-room', 'words knocked out beside the plate to make room for the same words', $sheet([$plate, $words('w', 'MOTH', $place(3, 4.6, 2), [$fill($bone)], 'anton.woff2', ['role' => ['kind' => 'knockout', 'gap' => 0.1]]), $words('v', 'MOTH', $place(3, 4.6, 2), [$fill($bone)])]), [], ['knockout', 'small', 'covered']);
$case('knocked-from', 'words taken from a disc that lies off the plate above it', $sheet([$plate, $shape('d', 'ellipse', $place(3, 3, 2), [$fill('#b04a2c')]), $words('w', 'MOTH', $place(3, 4.25, 1.6), [$fill($bone)], 'anton.woff2', ['role' => ['kind' => 'knockout', 'gap' => 0.0, 'from' => ['d']]])]), ['knockout'], []);
$chipped = fn (float $amount, array $shielded = []): array => ['distress' => [['texture' => 'chipped-edges', 'amount' => $amount, 'seed' => 3, 'shielded' => $shielded]]];
$small = fn (float $width): array => $words('w', 'MOTH NIGHT', $place(3, 3, $width), [$fill($bone)], 'anton.woff2', $out);
$case('knocked-eaten', 'chipped edges of a fifth of a plate eat the words knocked out of it', $sheet([$plate, $small(1.6)], more: $chipped(0.2)), ['knocked-out:w'], ['knockout', 'word']);
$case('knocked-spared', 'the same words, the ink about them shielded', $sheet([$plate, $small(1.6)], more: $chipped(0.2, ['w'])), [], ['knocked-out', 'knockout', 'word']);
$case('knocked-worn', 'large words knocked out of a plate that is worn a little', $sheet([$plate, $small(4)], more: ['distress' => [['texture' => 'speckle', 'amount' => 0.1, 'seed' => 4]]]), [], ['knocked-out', 'knockout', 'wear']);
$magick('-size', '90x70', '-seed', '8', 'plasma:#8a4a24-#d9a441', '-resize', '450x350!', '-modulate', '100,60', "PNG24:$folder/dune.png");
$case('square-photo', 'a photo that fills its rectangle', $sheet([$art('p', 'dune.png', $place(3, 3, 1.45))]), ['background:p'], ['cut', 'haze', 'ppi', 'scraps']);
$case('square-turned', 'the same, turned and mirrored', $sheet([$art('p', 'dune.png', ['flip' => 'across'] + $place(3, 3, 1.45, null, 20))]), ['background:p'], ['cut', 'ppi']);

// Letters that are filled in.
$slab = fn (array $effects, array $more = []): array => $words('w', 'LANTERN', $place(3, 3, 4), [$fill($bone), ...$effects], 'alfa-slab-one.woff2', $more);
$case('filled-gap', 'a gap that fills the letters that are knocked out', $sheet([$plate, $slab([], ['role' => ['kind' => 'knockout', 'gap' => 0.08]])]), ['filled:w'], ['knockout', 'small', 'collide']);
$case('filled-narrow', 'the same with a narrow gap', $sheet([$plate, $slab([], ['role' => ['kind' => 'knockout', 'gap' => 0.01]])]), [], ['filled', 'knockout', 'small']);
$case('filled-ring', 'a ring in the colour of its letters', $sheet([$slab([$ring(0.1, '#efe6d0')])]), ['filled:w'], ['vanish', 'small']);
$case('ringed-apart', 'a ring in another colour and one more in that of the letters', $sheet([$slab([$ring(0.06, '#b04a2c'), $ring(0.1, $bone)])]), [], ['filled', 'vanish']);

// A page in the shadow of a hand.
$shaded = ['-resize', '450x320', '-fx', 'u*(1-0.3*i/w)*(1-0.4/(1+exp(-(i/w+0.6*j/h-0.95)/0.03)))'];
$magick('-size', '900x640', 'xc:#e9e4da', '-fill', '#55525a', '-draw', 'circle 660,190 660,80', '-draw', 'rectangle 90,120 340,175', '-fill', '#b0604c', '-draw', 'polygon 130,400 230,250 330,400', ...[...$shaded, "PNG24:$folder/shaded.png"]);
$magick('-size', '900x640', 'xc:#e9e4da', '-fill', 'none', '-stroke', '#55525a', '-strokewidth', '44', '-draw', 'circle 480,320 480,120', ...[...$shaded, "PNG24:$folder/shaded-ring.png"]);
$freed = [['kind' => 'even-light'], ['kind' => 'clear-edge', 'tolerance' => 14]];
$oat = ['Oat' => '#e4d9c3'];
$case('shaded-page', 'a drawing on a page that a shadow lies on', $sheet([$art('p', 'shaded.png', $place(3, 3, 1.45))], $oat), ['background:p'], ['ppi', 'cut']);
$case('shaded-cleared', 'the same in even light, cleared from the edge', $sheet([$art('p', 'shaded.png', $place(3, 3, 1.45), $freed)], $oat), [], ['background', 'cut', 'haze', 'scraps', 'vanish']);
$case('shaded-pocket', 'a ring freed from such a page, the paper within it left', $sheet([$art('p', 'shaded-ring.png', $place(3, 3, 1.45), $freed)]), ['background:p'], ['cut', 'haze']);

// Lines that find nothing.
$cleared = fn (string $colour): array => [['kind' => 'clear-colour', 'colour' => $colour, 'tolerance' => 6]];
$case('idle-colour', 'a line that clears a colour that the picture does not have', $sheet([$art('p', 'freed.png', $place(3, 3, 1.1), $cleared('#2f6f4f'))]), ['idle:p:0'], ['background', 'ppi', 'haze']);
$case('colour-cleared', 'a line that clears the colour of its disc', $sheet([$art('p', 'freed.png', $place(3, 3, 1.1), $cleared('#d9a441'))]), [], ['idle', 'background', 'ppi', 'haze']);
$case('idle-edge', 'a background to clear of art that has none', $sheet([$art('p', 'freed.png', $place(3, 3, 1.1), [['kind' => 'clear-edge', 'tolerance' => 14]])]), ['idle:p:0'], ['background', 'ppi', 'haze']);

// How words stand.
$flipped = fn (string $how, float $y = 3, float $turn = 0, string $id = 'w'): array => $words($id, 'KITE DAY', ['flip' => $how] + $place(3, $y, 4, null, $turn), [$fill($bone)]);
$case('reads-mirrored', 'words flipped across', $sheet([$flipped('across')]), ['reads:w'], ['centre', 'small']);
$case('reads-head', 'words turned by half a turn', $sheet([$flipped('none', turn: 180)]), ['reads:w'], ['centre']);
$case('reads-up', 'words that run up the sheet', $sheet([$flipped('none', turn: -90)]), [], ['reads']);
$case('reads-water', 'words and what water shows of them', $sheet([$flipped('none', 2.2), $flipped('down', 3.8, id: 'v')]), [], ['reads']);
$case('unwritten', 'words as they were laid', $sheet([$words('w', 'YOUR WORDS', $place(3, 3, 4), [$fill($bone)])]), ['unwritten:w'], ['reads', 'word', 'spelling']);

// Rings that are lost, and rings that carry what is within them.
$case('ring-lost', 'bone words in a wide ring of the colour of the cloth', $sheet([$words('w', 'KITE DAY', $place(3, 3, 4), [$fill($bone), $ring(0.12, '#17181a')])]), [], ['small', 'thumbnail', 'covered']);
$case('ring-beyond-gap', 'black words with a bone ring beyond a gap on black', $sheet([$words('w', 'POOL', $place(3, 3, 4.4), [$fill('#17181a'), ['kind' => 'gap', 'width' => 0.05], $ring(0.06, $bone)])]), [], ['vanish']);
$pale = $shape('p', 'rectangle', $place(3, 3, 5.4, 3), [$fill($bone)]);
$case('sunk-ringed', 'bone words on bone, in a thin dark ring', $sheet([$pale, $words('w', 'POOL', $place(3, 3, 4.6), [$fill($bone), $ring(0.04, '#1f1d1a')])]), [], ['sunk', 'vanish']);
$case('sunk-beyond-gap', 'the same beyond a gap', $sheet([$pale, $words('w', 'POOL', $place(3, 3, 4.6), [$fill($bone), ['kind' => 'gap', 'width' => 0.03], $ring(0.04, '#1f1d1a')])]), [], ['sunk', 'vanish']);

// Pieces of which nothing is left, and wear that takes too much of one.
$case('cleared-by-look', 'pale words, photocopied as if they were dark', $sheet([$words('a', 'KITE', $place(3, 2, 4), [$fill($bone)]), $words('w', 'quarry road', $place(3, 4.4, 4), [$fill('#b8c2ca'), ['kind' => 'photocopied']])]), ['blank'], ['covered', 'vanish']);
$case('chipped-words', 'chipped edges of a fifth of a plate and the words below it', $sheet([$shape('p', 'rectangle', $place(3, 1.9, 5, 2.6), [$fill('#b04a2c')]), $words('w', 'MOTH NIGHT', $place(3, 4.6, 4), [$fill($bone)])], more: $chipped(0.2)), ['wear:w'], ['edge', 'blank']);
$case('shielded-small', 'small words, spared by the wear of a sheet', $sheet([$shape('p', 'rectangle', $place(3, 1.9, 5, 2.6), [$fill('#b04a2c')]), $words('w', 'ring for the hill', $place(3, 4.6, 2.4), [$fill($bone)], 'special-elite.woff2')], more: ['distress' => [['texture' => 'photocopy', 'amount' => 0.2, 'seed' => 3, 'shielded' => ['w']]]]), [], ['wear:w', 'word', 'blank']);
$case('one-aside', 'a line in the middle, and one beside it that pulls the design aside', $sheet([$words('a', 'KITE DAY', $place(3, 2, 4), [$fill($bone)]), $words('b', 'QUARRY ROAD', $place(3.12, 4.4, 4), [$fill($bone)])]), ['centre'], ['line', 'weight']);
$case('filled-beside-copy', 'filled letters that are knocked out, and the same word printed elsewhere', $sheet([$shape('p', 'rectangle', $place(3, 4, 5, 2.6), [$fill('#b04a2c')]), $words('v', 'LANTERN', $place(3, 1.4, 4), [$fill($bone)], 'alfa-slab-one.woff2'), $words('w', 'LANTERN', $place(3, 4, 4), [], 'alfa-slab-one.woff2', ['role' => ['kind' => 'knockout', 'gap' => 0.08]])]), ['filled:w'], ['filled:v', 'knockout', 'blank']);
$case('shadow-aside', 'words in the middle whose shadow falls to the right', $sheet([$words('w', 'KITE DAY', $place(3, 3, 4), [$fill($bone), ['kind' => 'shadow', 'distance' => 0.15, 'colour' => '#b04a2c']])]), [], ['centre', 'vanish', 'line']);
$case('weak-in-dots', 'thin words at six tenths of their strength, in dots', $sheet([$words('w', 'ring for the hill', $place(3, 3, 4.6), [$fill($bone), ['kind' => 'halftone', 'lpi' => 35]], 'special-elite.woff2', ['opacity' => 0.6])]), [], ['word', 'haze', 'blank']);
// Weak ink: what is seen is a mixture of it and of what lies below.
$weak = fn (string $colour, float $opacity, array $effects = []): array => $words('w', 'QUARRY', $place(3, 3, 4), [$fill($colour), ...$effects], 'anton.woff2', ['opacity' => $opacity]);
$light = ['White' => '#fdfdfb'];
$case('weak-on-white', 'grey words at a fifth of their strength on white', $sheet([$weak('#6b7075', 0.2)], $light), ['vanish:White'], ['blank']);
$case('weak-and-read', 'black words at a half of their strength on white', $sheet([$weak('#17181a', 0.5)], $light), [], ['vanish', 'sunk', 'blank']);
$case('weak-on-plate', 'bone words at a tenth of their strength on a rust plate', $sheet([$shape('p', 'rectangle', $place(3, 3, 5, 3), [$fill('#b04a2c')]), $weak($bone, 0.1)], $light), ['sunk:w'], ['covered', 'blank']);
$case('weak-plate-read', 'the same at a half', $sheet([$shape('p', 'rectangle', $place(3, 3, 5, 3), [$fill('#b04a2c')]), $weak($bone, 0.5)], $light), [], ['sunk', 'covered', 'vanish']);
// Words of a group that is ringed, and one line of several.
$grouped = fn (string $colour): array => ['id' => 'g', 'source' => ['kind' => 'group', 'layers' => [$words('w', 'POOL', $place(3, 3, 4.4), [$fill('#26375c')])]], 'effects' => [$ring(0.05, $colour)]];
$case('ringed-group-sunk', 'navy words on navy in a group with a navy ring', $sheet([$shape('p', 'rectangle', $place(3, 3, 5.4, 3), [$fill('#22304f')]), $grouped('#26375c')], $light), ['sunk:w'], ['covered', 'blank']);
$case('ringed-group-read', 'the same with a bone ring', $sheet([$shape('p', 'rectangle', $place(3, 3, 5.4, 3), [$fill('#22304f')]), $grouped($bone)], $light), [], ['sunk', 'covered', 'vanish', 'blank']);
$case('one-line-sunk', 'two lines of bone words, the lower one on a bone plate', $sheet([$shape('p', 'rectangle', $place(3, 4.1, 5.4, 1.9), [$fill($bone)]), $words('w', "MOTHS\nPOOL", $place(3, 3, 2.8), [['kind' => 'letter-spacing', 'by' => 80], $fill('#efe6d2')])]), ['sunk:w'], ['covered', 'vanish']);
$everySecond = fn (string $other): array => $words('w', 'MOTHS', $place(3, 3, 4.4), [['kind' => 'letter-colours', 'colours' => ['#1f1d1a', $other], 'way' => 'in-turn'], ['kind' => 'photocopied', 'grain' => 0, 'colour' => '#1f1d1a']]);
$case('letters-cleared', 'words in two colours, photocopied: of the light letters nothing is left', $sheet([$everySecond('#d9a441')], $light), ['blank'], ['vanish', 'covered']);
$case('letters-kept', 'the same of two dark colours', $sheet([$everySecond('#3d2a24')], $light), [], ['blank', 'vanish', 'covered']);
$screened = fn (string $colour, array $inks): array => $words('w', 'QUARRY', $place(3, 3, 4.4), [$fill($colour), ['kind' => 'halftone-inks', 'inks' => $inks, 'lpi' => 30]]);
$case('dark-dots', 'words in a few bone dots among black ones on maroon', $sheet([$screened('#4a1f24', ['#f3ead7', '#000000'])], ['Maroon' => '#4a1f28']), ['vanish:Maroon'], ['blank', 'sunk']);
$case('light-dots', 'words in many bone dots among black ones on maroon', $sheet([$screened('#d8ccb8', ['#f3ead7', '#000000'])], ['Maroon' => '#4a1f28']), [], ['vanish', 'blank', 'sunk']);
echo "$made cases\n";
