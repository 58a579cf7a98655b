<?php

declare(strict_types=1);

use TallCrow\Effect\Catalogue;
use TallCrow\Effect\Effect;
use TallCrow\Paper\Catalogue as Papers;
use TallCrow\Paper\Paper;
use TallCrow\Preflight\ChecksPicture;
use TallCrow\Preflight\ChecksSheet;
use TallCrow\Preflight\Preflight;
use TallCrow\Texture\Catalogue as Textures;
use TallCrow\Texture\Texture;

/** The classes of a folder of the core that are of a kind. @return list<class-string> */
function classes_in(string $folder, string ...$kinds): array
{
    $classes = [];
    foreach (array_merge(glob(dirname(__DIR__)."/src/$folder/*.php") ?: [], glob(dirname(__DIR__)."/src/$folder/*/*.php") ?: []) as $file) {
        $class = 'TallCrow\\'.str_replace('/', '\\', substr($file, strlen(dirname(__DIR__).'/src/'), -4));
        if (class_exists($class) && array_intersect($kinds, class_implements($class) ?: []) !== []) {
            $classes[] = $class;
        }
    }

    return $classes;
}

/** Everything that the core's tests say. */
function all_tests(): string
{
    static $all = null;

    return $all ??= implode("\n", array_map(fn (string $file): string => (string) file_get_contents($file), array_diff([...(glob(__DIR__.'/*/*Test.php') ?: []), ...(glob(__DIR__.'/Preflight/trial/*.json') ?: [])], [__FILE__])));
}

function page(string $name): string
{
    return (string) file_get_contents(dirname(__DIR__, 2)."/docs/$name");
}

/** Names that the tests or the docs lack. @param  list<string>  $kinds */
function unnamed(array $kinds, string $text, string $as): array
{
    return array_values(array_filter($kinds, fn (string $kind): bool => preg_match('/'.sprintf($as, preg_quote($kind, '/')).'/', $text) !== 1));
}

it('lists every effect, paper, texture and check that there is a class of', function (): void {
    expect(array_values(Catalogue::classes()))->toEqualCanonicalizing(classes_in('Effect', Effect::class))
        ->and(array_values(Papers::classes()))->toEqualCanonicalizing(classes_in('Paper', Paper::class))
        ->and(array_values(Textures::classes()))->toEqualCanonicalizing(classes_in('Texture', Texture::class))
        ->and(array_map(get_class(...), Preflight::checks()))->toEqualCanonicalizing(classes_in('Preflight', ChecksPicture::class, ChecksSheet::class));
});

it('has a test that names every effect', function (): void {
    expect(unnamed(array_keys(Catalogue::classes()), all_tests(), "'%s'"))->toBe([]);
});

it('describes every effect, paper and texture in docs/artwork-format.md', function (): void {
    expect(unnamed(array_keys(Catalogue::classes()), page('artwork-format.md'), '[`"]%s[`"]'))->toBe([])
        ->and(unnamed(array_keys(Papers::classes()), page('artwork-format.md'), '[`"]%s[`"]'))->toBe([])
        ->and(unnamed(array_keys(Textures::classes()), page('artwork-format.md'), '[`"]%s[`"]'))->toBe([]);
});

it('tries every check by the key of its findings', function (): void {
    foreach (Preflight::checks() as $check) {
        $source = (string) file_get_contents((string) (new ReflectionClass($check))->getFileName());
        preg_match_all("/(?:Group::\\w+, |finding\\(|return )'([a-z-]+)[:']/", $source, $keys);
        expect($keys[1])->not->toBe([], $check::class.' names no key for its findings');
        foreach (array_unique($keys[1]) as $key) {
            expect(preg_match("/['\"]$key(:|['\"])/", all_tests()))->toBe(1, $check::class.": no test speaks of \"$key\"");
        }
    }
});

it('has no page of docs that the README does not name', function (): void {
    $readme = (string) file_get_contents(dirname(__DIR__, 2).'/README.md');
    foreach (glob(dirname(__DIR__, 2).'/docs/{*.md,*.json,screenshots/*.png}', GLOB_BRACE) ?: [] as $file) {
        expect($readme)->toContain(substr($file, strlen(dirname(__DIR__, 2)) + 1));
    }
});

it('names in docs/words.md only what is in the code', function (): void {
    $root = dirname(__DIR__, 2);
    $known = [];
    foreach (['core/src', 'app', 'resources/ts'] as $folder) {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("$root/$folder", FilesystemIterator::SKIP_DOTS), RecursiveIteratorIterator::SELF_FIRST) as $file) {
            assert($file instanceof SplFileInfo);
            $known[$file->isDir() ? $file->getBasename().'/' : pathinfo($file->getBasename(), PATHINFO_FILENAME)] = true;
        }
    }
    preg_match_all('/^\|[^|]*\|[^|]*\|([^|]*)\|/m', page('words.md'), $cells);
    preg_match_all('/`([^`]+)`/', implode(' ', array_slice($cells[1], 2)), $names);
    foreach ($names[1] as $name) {
        // A method is named by its brackets; a folder by its slash, in the folder that it lies in or alone.
        $last = preg_replace('#^.*?([^/]+/?)$#', '$1', $name);
        expect(str_ends_with($name, '()') || isset($known[$last]))->toBeTrue("\"$name\" is nowhere in the code");
    }
});

it('names in the page on security only tests that are there', function (): void {
    $root = dirname(__DIR__, 2);
    $page = (string) file_get_contents("$root/docs/security.md");
    preg_match_all('/\b([A-Z]\w+Test)\b/', $page, $named);
    $there = array_map(fn (string $file): string => basename($file, '.php'), [...(glob("$root/tests/Http/*Test.php") ?: []), ...(glob("$root/core/tests/*/*Test.php") ?: [])]);
    expect(array_diff(array_unique($named[1]), $there))->toBe([])->and(count(array_unique($named[1])))->toBeGreaterThan(8);
});
