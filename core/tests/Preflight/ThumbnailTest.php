<?php

declare(strict_types=1);

use TallCrow\Preflight\Finding;
use TallCrow\Preflight\Preflight;
use TallCrow\Preflight\Verdict;
use TallCrow\Tests\Fixtures;

/** @param  list<array<string, mixed>>  $garments */
function in_a_listing(array $layers, array $garments): Finding
{
    $found = Preflight::artwork(Fixtures::artwork($layers, ['garments' => $garments]), Fixtures::renderer(), Fixtures::shelf(), closely: false)->findings;

    return array_values(array_filter($found, fn (Finding $one): bool => $one->key === 'thumbnail'))[0];
}

it('tells what reads at 200 and at 120 pixels', function (): void {
    // On a sheet 3 in wide a small letter of 0.09 in is 6 px high at 200 px wide, and 0.15 in at 120 px.
    $layers = [Fixtures::words('large', 'MOTHS', 2.6), Fixtures::words('middle', 'HHHHHHHHHHHHHHHH', 2.0, ['placement' => ['y' => 3]])];
    $found = in_a_listing($layers, [['name' => 'Slate', 'colour' => '#3d4a57']]);

    expect($found->verdict)->toBe(Verdict::Pass)->and($found->figure)->toBe('2 and 1 of 2 read')->and($found->says)->toContain('in one of 120 px these do not');
});

it('looks at words on black where black is offered', function (): void {
    $layers = [Fixtures::words('night', 'NIGHT', 2.6, ['effects' => [['kind' => 'fill', 'colour' => '#15181c']]])];

    expect(in_a_listing($layers, [['name' => 'Oat', 'colour' => '#e4d9c3']])->verdict)->toBe(Verdict::Pass)
        ->and(in_a_listing($layers, [['name' => 'Oat', 'colour' => '#e4d9c3'], ['name' => 'Black', 'colour' => '#0c0c0d']]))->verdict->toBe(Verdict::Warn)->says->toContain('on Black no words read');
});
