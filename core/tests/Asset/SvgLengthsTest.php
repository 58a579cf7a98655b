<?php

declare(strict_types=1);

use TallCrow\Asset\SvgLengths;

// CSS Values and Units 3, section 6.2: 1 in = 2.54 cm = 25.4 mm = 101.6 q = 72 pt = 6 pc = 96 px.
it('takes a length for as many user units as CSS does', function (string $told, float $units): void {
    expect(SvgLengths::size($told))->toEqualWithDelta($units, 1e-9);
})->with([
    ['1in', 96.0], ['2.54cm', 96.0], ['25.4mm', 96.0], ['101.6q', 96.0], ['72pt', 96.0], ['6pc', 96.0], ['96px', 96.0], ['96', 96.0],
    [' 400.00000pt ', 400 / 0.75], ['+.5IN', 48.0], ['1e2', 100.0], ['1.5e-1cm', 0.15 * 96 / 2.54], ['12 pt', 16.0],
    // Type of the usual size, since drawings hold none of their own.
    ['2em', 32.0], ['2ex', 16.0],
]);

it('takes nothing else for a length', function (string $told): void {
    expect(SvgLengths::size($told))->toBeNull();
})->with(['', '100%', 'auto', '-3in', '0', '0pt', '5 furlongs', '1,5in', '1in 2in', 'calc(1in + 2px)', '--5', '.', 'in']);

it('writes each length of an attribute as a plain number, and leaves all else', function (string $attribute, string $value, string $plain): void {
    expect(SvgLengths::plain($attribute, $value))->toBe($plain);
})->with([
    ['width', '1in', '96'], ['x', '-10mm', '-37.795276'], ['stroke-width', '1.5pt', '2'], ['stroke-dasharray', '3pt, 6pt 1in', '4, 8 96'], ['r', '10px', '10'],
    ['cx', '50%', '50%'], ['y', '2em', '2em'], ['width', '12', '12'], ['stroke-width', '.75pt', '1'], ['x', '1e1mm', '37.795276'],
    // No lengths: a path, a name, a colour.
    ['d', 'M1in 2in', 'M1in 2in'], ['id', '1in', '1in'], ['fill', 'url(#a1in)', 'url(#a1in)'], ['transform', 'translate(1in)', 'translate(1in)'],
]);
