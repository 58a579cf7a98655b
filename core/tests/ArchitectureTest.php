<?php

declare(strict_types=1);

/** What each part of the core may lean on; imports run one way. */
const MAY_USE = [
    'Measure' => [], 'Geometry' => [], 'Colour' => [], 'Raster' => ['Colour', 'Geometry'],
    'Type' => ['Geometry'], 'Noise' => ['Raster'], 'Paper' => ['Noise', 'Raster', 'Colour'], 'Cutout' => ['Raster', 'Colour', 'Geometry'], 'Look' => ['Noise', 'Raster', 'Colour', 'Cutout'], 'Effect' => ['Type', 'Geometry', 'Colour', 'Paper', 'Cutout', 'Look', 'Raster'], 'Mask' => ['Geometry'], 'Texture' => ['Noise', 'Mask', 'Raster', 'Geometry', 'Colour'],
    'Artwork' => ['Measure', 'Geometry', 'Colour', 'Raster', 'Type', 'Cutout', 'Effect', 'Mask', 'Texture'],
    'Asset' => ['Raster', 'Type', 'Geometry'],
    'Render' => ['Artwork', 'Asset', 'Measure', 'Geometry', 'Colour', 'Raster', 'Type', 'Effect', 'Mask', 'Texture', 'Paper', 'Cutout', 'Look', 'Noise'],
    'Compose' => ['Render', 'Artwork', 'Raster', 'Geometry'],
    'Edit' => ['Compose', 'Render', 'Artwork', 'Asset', 'Type', 'Texture', 'Mask', 'Effect', 'Geometry', 'Colour', 'Measure', 'Raster'],
    'Calendar' => ['Artwork'],
    'Series' => ['Texture', 'Export', 'Preflight', 'Render', 'Artwork', 'Geometry', 'Measure', 'Raster', 'Colour'],
    'House' => ['Preflight', 'Export', 'Render', 'Artwork', 'Effect', 'Texture', 'Geometry', 'Measure'],
    'Gang' => ['Render', 'Artwork', 'Texture', 'Geometry', 'Measure', 'Colour', 'Raster'],
    'Listing' => ['Press', 'Render', 'Artwork', 'Noise', 'Raster', 'Colour'],
    'Rights' => ['Artwork', 'Effect', 'Mask', 'Texture'],
    'Press' => ['Artwork', 'Raster', 'Colour'],
    'Preflight' => ['Edit', 'Compose', 'Effect', 'Cutout', 'Export', 'Type', 'Render', 'Artwork', 'Asset', 'Measure', 'Geometry', 'Colour', 'Raster', 'Mask', 'Texture'],
    'Pack' => ['Artwork', 'Raster'],
    'Export' => ['Preflight', 'Render', 'Artwork', 'Asset', 'Geometry', 'Measure', 'Raster'],
    'Cli' => ['Series', 'House', 'Listing', 'Gang', 'Pack', 'Press', 'Export', 'Preflight', 'Render', 'Artwork', 'Asset', 'Measure', 'Colour', 'Raster'],
];

/** @return array<string, list<string>> namespaces that the files of a folder name, by file */
function names_used(string $folder): array
{
    $found = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS)) as $file) {
        if ($file instanceof SplFileInfo && $file->getExtension() === 'php') {
            preg_match_all('/(?<![\w\\\\])\\\\?((?:TallCrow|App|Illuminate|Demo|Symfony)\\\\\w+)/', (string) preg_replace('#/\*.*?\*/#s', '', (string) file_get_contents($file->getPathname())), $names);
            $found[$file->getPathname()] = array_values(array_unique($names[1]));
        }
    }

    return $found;
}

it('keeps each part of the core to what it may lean on', function (string $part): void {
    foreach (names_used(dirname(__DIR__)."/src/$part") as $file => $names) {
        foreach ($names as $name) {
            expect(in_array($name, ["TallCrow\\$part", ...array_map(fn (string $p): string => "TallCrow\\$p", MAY_USE[$part])], true))->toBeTrue("$file uses $name");
        }
    }
})->with(array_keys(MAY_USE));

it('knows every folder of the core', function (): void {
    expect(array_map(basename(...), glob(dirname(__DIR__).'/src/*') ?: []))->toEqualCanonicalizing(array_keys(MAY_USE));
});

it('leaves FFI to the places that bind libraries', function (): void {
    foreach (glob(dirname(__DIR__).'/src/*/*.php') ?: [] as $file) {
        if (preg_match('/\bFFI\b/', (string) preg_replace('#/\*.*?\*/|//[^\n]*|\'[^\'\n]*\'#s', '', (string) file_get_contents($file))) === 1) {
            expect(basename(dirname($file)))->toBeIn(['Geometry', 'Raster', 'Type'], $file);
        }
    }
});

it('declares strict types and stays under 400 lines everywhere', function (): void {
    $root = dirname(__DIR__, 2);
    foreach (['core', 'app', 'config', 'database', 'demo', 'print-house', 'routes', 'tests'] as $folder) {
        foreach (names_used("$root/$folder") as $file => $names) {
            $text = (string) file_get_contents($file);
            expect($text)->toContain('declare(strict_types=1);')->and(substr_count($text, "\n"))->toBeLessThan(401, $file);
        }
    }
});

// The optimiser of opcache (PHP 8.2) makes "b < a" of "! (a <= b)": true and false are exchanged where a number is NAN.
it('denies no comparison of sizes', function (): void {
    $root = dirname(__DIR__, 2);
    foreach (['core/src', 'app'] as $folder) {
        foreach (array_keys(names_used("$root/$folder")) as $file) {
            $tokens = array_values(array_filter(PhpToken::tokenize((string) file_get_contents($file)), fn (PhpToken $token): bool => ! $token->isIgnorable()));
            foreach ($tokens as $at => $token) {
                if ($token->text !== '!' || $tokens[$at + 1]->text !== '(') {
                    continue;
                }
                for ($depth = 1, $to = $at + 2; $depth > 0; $to++) {
                    $depth += ['(' => 1, ')' => -1][$tokens[$to]->text] ?? 0;
                    expect($depth === 1 && in_array($tokens[$to]->text, ['<', '<=', '>', '>='], true))->toBeFalse("$file, line {$tokens[$to]->line}: say what is true instead");
                }
            }
        }
    }
});

// All tests are loaded into one process: a second helper of the same name ends it before the first test.
it('gives every helper of the tests a name of its own', function (): void {
    $root = dirname(__DIR__, 2);
    $named = [];
    foreach (['core/tests', 'tests'] as $folder) {
        foreach (array_keys(names_used("$root/$folder")) as $file) {
            $text = (string) file_get_contents($file);
            preg_match_all('/^(?:function|const|final class) \w+/m', $text, $found);
            foreach (preg_match('/^namespace /m', $text) === 1 ? [] : $found[0] as $name) {
                expect($named[$name] ?? $file)->toBe($file, "$name is declared twice");
                $named[$name] = $file;
            }
        }
    }
    expect(count($named))->toBeGreaterThan(100);
});

it('tests the core without the packages of the interface', function (): void {
    $files = array_keys(names_used(__DIR__));
    expect(count($files))->toBeGreaterThan(150);
    foreach ($files as $file) {
        expect(preg_match('/[\'"](?:node|npm|npx)[\'"]/', str_replace('(?:node|npm|npx)', '', (string) file_get_contents($file))))->toBe(0, "$file runs what only npm installs");
    }
});
