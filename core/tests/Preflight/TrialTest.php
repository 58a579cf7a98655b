<?php

declare(strict_types=1);

use TallCrow\Cli\Crow;
use TallCrow\Tests\Fixtures;

it('counts what it found over a folder of sheets and files', function (): void {
    // Two sheets and all the files; each of the other sheets is tried in MendsTest.
    $folder = Fixtures::temporary('trial');
    foreach (glob(__DIR__.'/trial/*') ?: [] as $file) {
        $isSheet = str_ends_with($file, '.json') && isset(json_decode((string) file_get_contents($file), true)['sheet']);
        if (! $isSheet || preg_match('/^0[12]-/', basename($file)) === 1) {
            copy($file, "$folder/".basename($file));
        }
    }
    [$out, $error] = [fopen('php://memory', 'r+'), fopen('php://memory', 'r+')];
    $code = Crow::run(['trial', $folder, '--shelf', Fixtures::assets()], $out, $error);
    rewind($out);
    rewind($error);
    $told = (string) stream_get_contents($out);
    expect((string) stream_get_contents($error))->toBe('')->and(preg_match('/^all +(\d+) +(\d+) +(\d+) +(\d+) +of (\d+) cases$/m', $told, $found))->toBe(1);
    [, $hits, $missed, $right, $false, $cases] = array_map(intval(...), $found);
    expect($cases)->toBe(count(glob("$folder/*.json") ?: []))->and($missed)->toBe(0, $told)->and($false)->toBe(0, $told)->and($code)->toBe(Crow::FINE)
        ->and($hits)->toBeGreaterThan(4)->and($right)->toBeGreaterThan(20)
        ->and($told)->toMatch('/^vanish +1 +0 +1 +0$/m');
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
