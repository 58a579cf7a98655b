<?php

declare(strict_types=1);

use TallCrow\House\Agreement;
use TallCrow\House\FileFigures;

it('lays both sides\' figures beside one another and tells where they differ', function (): void {
    $ours = new FileFigures(4500, 5400, 300.0, true, 'sRGB', 1_234_567, str_repeat('a', 64));
    $theirs = FileFigures::read(['width' => 4500, 'height' => 5400, 'ppi' => 299.9994, 'transparent' => false, 'colours' => 'sRGB', 'bytes' => 1_234_568, 'sha256' => str_repeat('a', 64)]);
    $rows = Agreement::between($ours, $theirs);

    expect(array_column($rows, 'differs', 'what'))->toBe(['pixels' => false, 'ppi at its width' => false, 'transparent' => true, 'colours' => false, 'bytes' => true, 'content (SHA-256)' => false])
        ->and($rows[4]->ours)->toBe('1,234,567');
});

it('leaves out what a house does not tell, and takes no odd values from it', function (): void {
    $ours = new FileFigures(600, 800, 100.0, true, 'sRGB', 900, 'abc');
    $theirs = FileFigures::read(['width' => '600', 'height' => [800], 'ppi' => null, 'transparent' => 'yes', 'colours' => 7, 'bytes' => 'many']);

    expect(array_column(Agreement::between($ours, $theirs), 'theirs', 'what'))->toBe(['pixels' => '600 × 0', 'bytes' => '0'])->and(FileFigures::read($ours->toArray()))->toEqual($ours);
});

it('counts a density as the same within the grain of pixels to the metre, not beyond', function (): void {
    $at = fn (float $ppi): FileFigures => new FileFigures(1, 1, $ppi, null, '', 1, '');
    // 72 ppi are 2835 pixels to the metre (PNG, pHYs), 72.009 ppi.
    expect(Agreement::between($at(72), $at(2835 * 0.0254))[1]->differs)->toBeFalse()->and(Agreement::between($at(300), $at(296))[1]->differs)->toBeTrue();
});
