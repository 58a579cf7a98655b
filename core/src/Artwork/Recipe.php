<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Colour\Swatch;

/** Layers saved under a name, to be applied to other words: a JSON file with the layers and the named colours that they use. */
final readonly class Recipe
{
    public const FORMAT = 'tallcrow.recipe/1';

    private const MOST_LAYERS = 40;

    private const MOST_BYTES = 1_000_000;

    /**
     * @param  non-empty-list<Layer>  $layers
     * @param  list<Swatch>  $swatches
     */
    private function __construct(public string $name, public array $layers, public array $swatches) {}

    /** @throws ArtworkInvalid */
    public static function json(string $json): self
    {
        $data = strlen($json) > self::MOST_BYTES ? null : json_decode($json, true, 64);

        return self::data($data);
    }

    /** @throws ArtworkInvalid */
    public static function data(mixed $data): self
    {
        $faults = new Faults;
        $root = Node::root($data, $faults)->knows('format', 'name', 'layers', 'swatches');
        if ($root->text('format', 40, '') !== self::FORMAT) {
            $root->fault(sprintf('is not "%s"', self::FORMAT), 'format');
            $faults->settle();
        }
        $name = $root->text('name', 120);
        $swatches = array_map(ArtworkReader::swatch(...), $root->items('swatches', 64));
        $layers = LayerReader::of(self::MOST_LAYERS, $swatches)->layers($root, 'layers');
        if ($layers === []) {
            $root->fault('holds none; one is the least', 'layers');
        }
        $faults->settle();

        return new self($name, $layers === [] ? throw new \LogicException('Faults were settled.') : $layers, $swatches);
    }

    /** @return array{format: string, name: string, layers: list<array<string, mixed>>, swatches: list<array{name: string, colour: string}>} */
    public function toArray(): array
    {
        return [
            'format' => self::FORMAT, 'name' => $this->name,
            'layers' => array_map(fn (Layer $layer): array => $layer->toArray(), $this->layers),
            'swatches' => array_map(fn (Swatch $swatch): array => ['name' => $swatch->name, 'colour' => $swatch->colour->toHex()], $this->swatches),
        ];
    }

    /** @return list<string> colours that its effects use, as "#rrggbb" or "@Name" */
    public function colours(): array
    {
        $found = [];
        foreach (array_merge([], ...array_map(fn (Layer $layer): array => $layer->everyLayer(), $this->layers)) as $layer) {
            foreach ($layer->effects as $line) {
                $line->recoloured(function (string $colour) use (&$found): string {
                    $found[] = $colour;

                    return $colour;
                });
            }
        }

        return array_values(array_unique($found));
    }

    /** @return list<string> names of the fonts and pictures that it uses */
    public function files(): array
    {
        return array_values(array_unique(array_merge([], ...array_map(fn (Layer $layer): array => $layer->files(), array_merge([], ...array_map(fn (Layer $layer): array => $layer->everyLayer(), $this->layers))))));
    }
}
