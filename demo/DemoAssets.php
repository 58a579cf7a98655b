<?php

declare(strict_types=1);

namespace Demo;

/**
 * The fonts and clip art of the demo shop: taken from the installed packages with the licences they state, and our own
 * drawings. demo/assets.json lists them.
 *
 * @phpstan-type Licence array{name: string, author: string, url: string}
 * @phpstan-type Entry array{file: string, kind: 'font'|'art', title: string, genre: string, text: string, licence: Licence}
 */
final class DemoAssets
{
    /**
     * Copies all of them into a folder.
     *
     * @return list<Entry>
     */
    public static function gather(string $folder): array
    {
        if (! is_dir($folder)) {
            mkdir($folder, 0o700, true);
        }
        /** @var array{fonts: list<array{package: string, genre: string, subset?: string, axes?: string, whole?: string, title?: string}>, clipart: list<array{package: string, icon: string, file: string}>, own: list<array{file: string, title: string, genre?: string}>} $list */
        $list = self::json(__DIR__.'/assets.json');

        $gathered = [
            ...array_map(fn (array $font): array => self::font($font, $folder), $list['fonts']),
            ...array_map(fn (array $art): array => self::clipart($art, $folder), $list['clipart']),
            ...array_map(fn (array $art): array => self::own($art, $folder), $list['own']),
        ];
        // As the command line reads them.
        $licences = array_map(fn (array $licence): array => ['licence' => $licence['name'], 'author' => $licence['author'], 'url' => $licence['url']], array_column($gathered, 'licence', 'file'));
        file_put_contents("$folder/licences.json", json_encode($licences, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n");

        return $gathered;
    }

    /**
     * @param  array{package: string, genre: string, subset?: string, axes?: string, whole?: string, title?: string}  $font
     * @return Entry
     */
    private static function font(array $font, string $folder): array
    {
        $package = self::package($font['package']);
        if (isset($font['whole'], $font['title'])) {
            return self::whole($package, $font['whole'], $font['title'], $font['genre'], $folder);
        }
        /** @var array{id: string, family: string, weights: list<int>, license: array{type: string, url: string, attribution: string}} $about */
        $about = self::json("$package/metadata.json");
        $subset = $font['subset'] ?? 'latin';
        $file = $about['id'].($subset === 'latin' ? '' : "-$subset").'.woff2';
        // A variable font is one file for a set of axes.
        $cut = $font['axes'] ?? (in_array(400, $about['weights'], true) ? 400 : $about['weights'][0]);
        copy("$package/files/{$about['id']}-$subset-$cut-normal.woff2", "$folder/$file");

        return ['file' => $file, 'kind' => 'font', 'title' => $about['family'].($subset === 'latin' ? '' : ', '.ucfirst($subset)), 'genre' => $font['genre'], 'text' => "$package/LICENSE", 'licence' => [
            'name' => $about['license']['type'], 'author' => $about['license']['attribution'], 'url' => $about['license']['url'],
        ]];
    }

    /**
     * A font with all its letters and features, which packages for web pages leave out.
     *
     * @return Entry
     */
    private static function whole(string $package, string $from, string $title, string $genre, string $folder): array
    {
        $file = strtolower(str_replace(' ', '-', $title)).'.'.pathinfo($from, PATHINFO_EXTENSION);
        copy("$package/$from", "$folder/$file");
        $holder = strtok((string) file_get_contents("$package/LICENSE_FONT"), "\n");

        return ['file' => $file, 'kind' => 'font', 'title' => $title, 'genre' => $genre, 'text' => "$package/LICENSE_FONT", 'licence' => [
            'name' => 'OFL-1.1', 'author' => trim((string) $holder), 'url' => 'https://openfontlicense.org',
        ]];
    }

    /**
     * @param  array{package: string, icon: string, file: string}  $art
     * @return Entry
     */
    private static function clipart(array $art, string $folder): array
    {
        $package = self::package($art['package']);
        /** @var array{name: string, author: array{name: string}, license: array{title: string, url: string}} $about */
        $about = self::json("$package/info.json");
        /** @var array{icons: array<string, array{body: string, width?: int, height?: int}>, width?: int, height?: int} $icons */
        $icons = self::json("$package/icons.json");
        $icon = $icons['icons'][$art['icon']];
        [$width, $height] = [$icon['width'] ?? $icons['width'] ?? 16, $icon['height'] ?? $icons['height'] ?? 16];
        $body = str_replace('currentColor', '#1f1d1a', $icon['body']);
        file_put_contents("$folder/{$art['file']}", "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 $width $height\">$body</svg>\n");

        return ['file' => $art['file'], 'kind' => 'art', 'title' => ucfirst(str_replace('-', ' ', $art['icon'])), 'genre' => '', 'text' => "$package/README.md", 'licence' => [
            'name' => $about['license']['title'], 'author' => $about['author']['name'], 'url' => $about['license']['url'],
        ]];
    }

    /**
     * @param  array{file: string, title: string, genre?: string}  $art
     * @return Entry
     */
    private static function own(array $art, string $folder): array
    {
        copy(__DIR__.'/art/'.$art['file'], "$folder/{$art['file']}");

        return ['file' => $art['file'], 'kind' => str_ends_with($art['file'], '.ttf') ? 'font' : 'art', 'title' => $art['title'], 'genre' => $art['genre'] ?? '', 'text' => '', 'licence' => [
            'name' => 'CC0-1.0', 'author' => 'The makers of this demo shop', 'url' => '',
        ]];
    }

    private static function package(string $name): string
    {
        $folder = dirname(__DIR__).'/node_modules/'.$name;
        if (! is_dir($folder)) {
            throw new \RuntimeException("The package $name is not installed. Run bin/demo or npm install.");
        }

        return $folder;
    }

    private static function json(string $file): mixed
    {
        return json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR);
    }
}
