<?php

declare(strict_types=1);

use TallCrow\Cli\Arguments;
use TallCrow\Cli\UnusableCall;

it('reads a command, its operand, options and flags in any order', function (array $words): void {
    $read = Arguments::read($words, ['out', 'on'], ['json']);
    expect($read->command)->toBe('render')
        ->and($read->operand('an artwork'))->toBe('kite.json')
        ->and($read->option('out'))->toBe('a=b.png')
        ->and($read->options('on'))->toBe(['#111111', '#222222'])
        ->and($read->flag('json'))->toBeTrue()
        ->and($read->option('width'))->toBeNull()
        ->and($read->flag('help'))->toBeFalse();
})->with([
    [['render', 'kite.json', '--out', 'a=b.png', '--on', '#111111', '--on=#222222', '--json']],
    [['--json', '--on=#111111', 'render', '--out=a=b.png', '--on', '#222222', 'kite.json']],
]);

it('says what is amiss in a call', function (array $words, string $says): void {
    expect(fn () => Arguments::read($words, ['out'], ['json'])->operand('an artwork'))->toThrow(UnusableCall::class, $says);
})->with([
    [['render'], 'Missing: an artwork'], [['render', 'a', 'b'], '"b" is one word too many'], [['render', '--shine'], '--shine is not known'], [['render', 'a', '--out'], 'a value for --out'],
]);
