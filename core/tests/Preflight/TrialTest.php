<?php

declare(strict_types=1);

use TallCrow\Cli\Crow;
use TallCrow\Tests\Fixtures;

it('finds what is wrong with every sheet and file of the trial set, and nothing where nothing is', function (): void {
    [$out, $error] = [fopen('php://memory', 'r+'), fopen('php://memory', 'r+')];
    $code = Crow::run(['trial', __DIR__.'/trial', '--shelf', Fixtures::assets()], $out, $error);
    rewind($out);
    rewind($error);
    $told = (string) stream_get_contents($out);
    expect((string) stream_get_contents($error))->toBe('')->and(preg_match('/^all +(\d+) +(\d+) +(\d+) +(\d+) +of (\d+) cases$/m', $told, $found))->toBe(1);
    [, $hits, $missed, , $false, $cases] = array_map(intval(...), $found);
    expect($cases)->toBeGreaterThanOrEqual(60)->and($hits)->toBeGreaterThan(40)->and($missed)->toBe(0, $told)->and($false)->toBeLessThanOrEqual(1, $told)->and($code)->toBe(Crow::FINE);
});

it('says which case a check got wrong, and fails', function (): void {
    $folder = Fixtures::temporary('trial');
    $case = json_decode((string) file_get_contents(__DIR__.'/trial/01-plain.json'), true);
    file_put_contents("$folder/wrong.json", json_encode(['faults' => ['haze'], 'fine' => []] + $case));
    [$out, $error] = [fopen('php://memory', 'r+'), fopen('php://memory', 'r+')];
    $code = Crow::run(['trial', $folder, '--shelf', Fixtures::assets()], $out, $error);
    rewind($out);
    expect($code)->toBe(Crow::FAILED)->and((string) stream_get_contents($out))->toContain('wrong: haze missed');
});
