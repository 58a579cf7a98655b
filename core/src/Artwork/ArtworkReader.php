<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Artwork\Upgrade\Upgrades;
use TallCrow\Colour\Swatch;
use TallCrow\Measure\HouseRule;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Texture\Catalogue as Textures;
use TallCrow\Texture\Wear;

/** Reads the artwork format strictly; docs/artwork-format.md describes it. */
final class ArtworkReader
{
    public const LEAST_WEAR_SCALE = 0.25;

    public const MOST_WEAR_SCALE = 2.5;

    private const MOST_BYTES = 4_000_000;

    public const MOST_LAYERS = 200;

    private const MOST_DEPTH = 24;

    /** @throws ArtworkInvalid */
    public static function json(string $json): Artwork
    {
        self::checkSize($json);
        try {
            return self::data(json_decode($json, true, self::MOST_DEPTH * 2, JSON_THROW_ON_ERROR));
        } catch (\JsonException $unreadable) {
            throw new ArtworkInvalid([new Fault('', 'is not JSON: '.$unreadable->getMessage())]);
        }
    }

    /**
     * A sheet that is too large to be read must not be kept either.
     *
     * @throws ArtworkInvalid
     */
    public static function checkSize(string $json): void
    {
        if (strlen($json) > self::MOST_BYTES) {
            throw new ArtworkInvalid([new Fault('', sprintf('is %d bytes long; %d is the most', strlen($json), self::MOST_BYTES))]);
        }
    }

    /**
     * A decoded file of any version.
     *
     * @throws ArtworkInvalid
     */
    public static function data(mixed $data): Artwork
    {
        $faults = new Faults;
        $root = Node::root(Upgrades::newest($data), $faults);
        $artwork = self::artwork($root);
        self::uniqueIds($artwork, $root);
        self::shieldsKnown($artwork, $root);
        self::clipsEnd($artwork, $root);
        self::leadersLead($artwork, $root);
        $faults->settle();

        return Following::settled($artwork);
    }

    public static function artwork(Reading $root): Artwork
    {
        $root = $root->knows('format', 'title', 'product', 'side', 'method', 'rule', 'sheet', 'garments', 'swatches', 'layers', 'distress', 'limits', 'meant');
        $root->word('format', [Artwork::FORMAT]);

        $swatches = array_map(self::swatch(...), $root->items('swatches', 64));
        self::uniqueNames($swatches, $root);

        $brief = new Brief(
            $root->choice('product', Product::class, Product::Tee),
            $root->choice('side', Side::class, Side::Front),
            $root->choice('method', PrintMethod::class, PrintMethod::DirectToGarment),
            $root->choice('rule', HouseRule::class, HouseRule::Strict300),
            array_map(self::garment(...), $root->items('garments', 40)),
        );

        return Artwork::blank($root->text('title', 200), $brief, self::sheet($root->child('sheet')))
            ->withSwatches($swatches)
            ->withLayers(LayerReader::of(self::MOST_LAYERS, $swatches)->layers($root, 'layers'))
            ->withDistress(array_map(self::wear(...), $root->items('distress', 12)))
            ->withLimits($root->has('limits') ? self::limits($root->child('limits')) : new Limits)
            ->meaning(array_map(self::meant(...), $root->items('meant', Meant::MOST)));
    }

    public static function wear(Reading $node): Wear
    {
        $node = $node->knows('texture', 'amount', 'scale', 'seed', 'inverted', 'shielded', 'on', 'file', 'x', 'y', 'turn', 'strokes', 'asItIs');

        $texture = $node->word('texture', [...array_keys(Textures::classes()), Textures::PICTURE]);
        $amount = $node->number('amount', 0, 0.9, 0.14);
        $scale = $node->number('scale', self::LEAST_WEAR_SCALE, self::MOST_WEAR_SCALE, 1);
        $seed = $node->integer('seed', 0, 999_999, 1);
        $inverted = $node->flag('inverted', false);
        $shielded = $node->texts('shielded', self::MOST_LAYERS, 40);
        $on = $node->flag('on', true);
        $file = $node->asset('file', '');

        return ($texture === Textures::PICTURE ? Wear::ofPicture($file, $amount) : Wear::of($texture, $amount))
            ->seeded($seed)
            ->lying($node->number('x', -100, 100, 0), $node->number('y', -100, 100, 0), $node->number('turn', -360, 360, 0), $scale, $inverted)
            ->shieldingOnly($shielded)
            ->brushed(MaskReader::strokes($node, 'strokes'))
            ->switched($on)
            ->asItIs($node->flag('asItIs', false));
    }

    public static function meant(Reading $node): Meant
    {
        $node->knows('key', 'why');

        return new Meant($node->text('key', 120), $node->text('why', 200));
    }

    public static function limits(Reading $node): Limits
    {
        $node = $node->knows('letterLost', 'stroke');

        return new Limits($node->number('letterLost', 0.01, 1, 0.4), $node->number('stroke', 0.001, 0.5, 0.012));
    }

    public static function sheet(Reading $node): Sheet
    {
        $node = $node->knows('width', 'height', 'ppi');

        return new Sheet(
            $node->integer('width', 1, PrintArea::MAX_SIDE),
            $node->integer('height', 1, PrintArea::MAX_SIDE),
            Ppi::of($node->number('ppi', 10, Ppi::MAX)),
        );
    }

    public static function garment(Reading $node): Garment
    {
        $node = $node->knows('name', 'colour');

        return new Garment($node->text('name', 60), $node->colour('colour'));
    }

    public static function swatch(Reading $node): Swatch
    {
        $node = $node->knows('name', 'colour');

        return new Swatch($node->text('name', 60), $node->colour('colour'));
    }

    /** @param  list<Swatch>  $swatches */
    private static function uniqueNames(array $swatches, Reading $root): void
    {
        foreach (array_count_values(array_map(fn (Swatch $swatch): string => $swatch->name, $swatches)) as $name => $times) {
            if ($times > 1) {
                $root->fault(sprintf('the name "%s" is used %d times; each swatch needs its own', $name, $times), 'swatches');
            }
        }
    }

    private static function uniqueIds(Artwork $artwork, Reading $root): void
    {
        $ids = array_map(fn (Layer $layer): string => $layer->id, $artwork->everyLayer());
        foreach (array_count_values($ids) as $id => $times) {
            if ($times > 1) {
                $root->fault(sprintf('the id "%s" is used %d times; each layer needs its own', $id, $times), 'layers');
            }
        }
    }

    private static function clipsEnd(Artwork $artwork, Reading $root): void
    {
        $ring = ClipCycles::find($artwork);
        if ($ring !== null) {
            $root->fault(sprintf('clips the layer "%s" to "%s", which is made of it or clipped to it in turn: clip it to another', ...$ring), 'layers');
        }
    }

    private static function leadersLead(Artwork $artwork, Reading $root): void
    {
        foreach ($artwork->everyLayer() as $layer) {
            if ($layer->follows === null) {
                continue;
            }
            $leader = $artwork->layer($layer->follows->layer);
            $wrong = match (true) {
                $leader === null => 'is not there',
                $leader->follows !== null => 'follows another itself: name that one',
                $leader->placement === null || $layer->placement === null => 'can not be followed, since one of the two is a group',
                default => null,
            };
            if ($wrong !== null) {
                $root->fault(sprintf('has the layer "%s" follow "%s", which %s', $layer->id, $layer->follows->layer, $wrong), 'layers');
            }
        }
    }

    private static function shieldsKnown(Artwork $artwork, Reading $root): void
    {
        $lines = $artwork->distress;
        foreach ($artwork->everyLayer() as $layer) {
            array_push($lines, ...$layer->distress);
        }
        foreach ($lines as $wear) {
            foreach ($wear->shielded as $id) {
                if ($artwork->layer($id) === null) {
                    $root->fault(sprintf('shields the layer "%s", which is not there', $id), 'distress');
                }
            }
        }
    }
}
