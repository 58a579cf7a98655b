<?php

declare(strict_types=1);

namespace TallCrow\Rights;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Layer;
use TallCrow\Effect\ParameterKind;
use TallCrow\Mask\Mask;
use TallCrow\Texture\Wear;

/** Collects the files that a sheet's print depends on: including fills, masks, wear and knockouts, without layers that are switched off. */
final class PrintedFiles
{
    /** @var array<string, array{ways: array<string, PrintedAs>, layers: array<string, string>}> */
    private array $found = [];

    private function __construct() {}

    /** @return list<PrintedFile> by name */
    public static function of(Artwork $artwork): array
    {
        $files = new self;
        foreach ($artwork->layers as $layer) {
            $files->look($layer);
        }
        foreach ($artwork->distress as $wear) {
            $files->wear($wear, null);
        }
        ksort($files->found);
        $alone = self::alone($artwork);

        return array_map(fn (string $name, array $one): PrintedFile => new PrintedFile($name, array_values($one['ways']), array_values($one['layers']), $name === $alone), array_keys($files->found), array_values($files->found));
    }

    /** The picture that alone makes up the print, unchanged: not cut, coloured, worn, bent or repeated; null if there is none. */
    private static function alone(Artwork $artwork): ?string
    {
        $live = array_values(array_filter($artwork->layers, fn (Layer $layer): bool => $layer->on));
        $only = count($live) === 1 ? $live[0] : null;
        while ($only !== null && $only->children() !== [] && $only->liveEffects() === [] && $only->liveMasks() === [] && $only->liveDistress() === []) {
            $inner = array_values(array_filter($only->children(), fn (Layer $layer): bool => $layer->on));
            $only = count($inner) === 1 ? $inner[0] : null;
        }
        $isWorn = $artwork->liveDistress() !== [];
        $isPlain = $only !== null && ! $isWorn && $only->liveEffects() === [] && $only->liveMasks() === [] && $only->liveDistress() === [] && ! ($only->repeat->on ?? false);

        return $isPlain ? $only->picture()?->file : null;
    }

    private function look(Layer $layer): void
    {
        if (! $layer->on || $layer->opacity <= 0.0) {
            return;
        }
        foreach ($layer->source->files() as $file) {
            $this->add($file, $layer->isWords() ? PrintedAs::Font : PrintedAs::Picture, $layer);
        }
        foreach (array_filter($layer->effects, fn (EffectLine $line): bool => $line->on) as $line) {
            foreach ($line->is()::parameters() as $parameter) {
                if ($parameter->kind === ParameterKind::Font || $parameter->kind === ParameterKind::Picture) {
                    $this->add($line->values->word($parameter->name), $parameter->kind === ParameterKind::Font ? PrintedAs::Font : PrintedAs::Fill, $layer);
                }
            }
        }
        foreach (array_filter($layer->masks, fn (Mask $mask): bool => $mask->isOn()) as $mask) {
            foreach ($mask->files() as $file) {
                $this->add($file, PrintedAs::Mask, $layer);
            }
        }
        foreach ($layer->distress as $wear) {
            $this->wear($wear, $layer);
        }
        foreach ($layer->children() as $child) {
            $this->look($child);
        }
    }

    private function wear(Wear $wear, ?Layer $layer): void
    {
        foreach ($wear->on && $wear->amount > 0 ? $wear->files() : [] as $file) {
            $this->add($file, PrintedAs::Wear, $layer);
        }
    }

    private function add(string $file, PrintedAs $way, ?Layer $layer): void
    {
        if ($file === '') {
            return;
        }
        $this->found[$file] ??= ['ways' => [], 'layers' => []];
        $this->found[$file]['ways'][$way->value] = $way;
        if ($layer !== null) {
            $this->found[$file]['layers'][$layer->id] = $layer->called();
        }
    }
}
