<?php

declare(strict_types=1);

namespace TallCrow\Artwork\Schema;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\EffectReader;
use TallCrow\Artwork\LayerReader;
use TallCrow\Artwork\MaskReader;
use TallCrow\Artwork\Reading;
use TallCrow\Artwork\SourceReader;
use TallCrow\Effect\Catalogue;

/** The artwork format as a JSON Schema (draft 2020-12), written by asking the readers themselves. */
final class ArtworkSchema
{
    public const DRAFT = 'https://json-schema.org/draft/2020-12/schema';

    /** The definition of the objects that stand at a key. */
    private const AT = [
        'sheet' => 'sheet', 'garments' => 'garment', 'swatches' => 'swatch', 'layers' => 'layer', 'distress' => 'wear', 'limits' => 'limits', 'meant' => 'meant',
        'role' => 'role', 'source' => 'source', 'placement' => 'placement', 'effects' => 'effectLine', 'masks' => 'mask', 'repeat' => 'repeat',
        'strokes' => 'stroke', 'line' => 'effectLine', 'mask' => 'mask', 'wear' => 'wear', 'follows' => 'follows', 'area' => 'scribble', 'scribbles' => 'scribble', 'ink' => 'inkStroke', 'stroke' => 'inkStroke',
    ];

    /**
     * Keys that are not in every written object: a group has no placement, few layers are repeated or follow another, few words are sized by their letters,
     * and over few pictures something is drawn.
     */
    private const OPTIONAL = ['layer' => ['placement', 'repeat', 'follows'], 'placement' => ['capitals', 'em'], 'effectLine' => ['area', 'scribbles']];

    /**
     * @param  bool  $complete  as files are written, with every key, or as they are read
     * @return array<string, mixed>
     */
    public static function file(bool $complete = false): array
    {
        return [
            '$schema' => self::DRAFT,
            '$id' => 'urn:'.str_replace('/', ':', Artwork::FORMAT),
            'title' => 'Artwork',
            'description' => 'A build sheet. Lengths are inches from the sheet\'s top left corner, angles degrees clockwise, shares 0 to 1, colours sRGB.',
            ...self::described(ArtworkReader::artwork(...), $complete, ['meant']),
            '$defs' => self::definitions($complete),
        ];
    }

    /** @return array<string, array<string, mixed>> */
    public static function definitions(bool $complete): array
    {
        $layers = LayerReader::of(ArtworkReader::MOST_LAYERS, []);
        $effects = EffectReader::ofAnySwatch();
        $none = fn (Reading $group): array => array_map(fn (Reading $layer): never => throw new \LogicException('A description holds no layers.'), $group->items('layers', 200));
        $one = fn (callable $reader, string $name = ''): array => self::described($reader, $complete, self::OPTIONAL[$name] ?? []);
        $kinds = fn (callable $reader, array $kinds): array => ['oneOf' => array_map(fn (string $kind): array => self::described($reader, $complete, self::OPTIONAL['effectLine'], ['kind' => $kind]), $kinds)];

        return [
            'colour' => ['type' => 'string', 'pattern' => '^\s*#?([0-9a-fA-F]{6}|[0-9a-fA-F]{3})\s*$'],
            'inkColour' => ['description' => 'A colour, or a swatch of the job by its name after an @.', 'type' => 'string', 'maxLength' => 61, 'pattern' => '^@|^\s*#?([0-9a-fA-F]{6}|[0-9a-fA-F]{3})\s*$'],
            'sheet' => $one(ArtworkReader::sheet(...)),
            'garment' => $one(ArtworkReader::garment(...)),
            'swatch' => $one(ArtworkReader::swatch(...)),
            'limits' => $one(ArtworkReader::limits(...)),
            'meant' => $one(ArtworkReader::meant(...)),
            'layer' => $one($layers->layer(...), 'layer') + [
                'if' => ['properties' => ['source' => ['properties' => ['kind' => ['const' => 'group']]]]],
                'then' => ['properties' => ['placement' => false]],
                'else' => ['required' => ['placement']],
            ],
            'role' => $kinds($layers->role(...), LayerReader::ROLES),
            'source' => $kinds(fn (Reading $node): mixed => SourceReader::read($node, $none), SourceReader::KINDS),
            'placement' => $one($layers->placement(...), 'placement'),
            'effectLine' => $kinds($effects->line(...), array_keys(Catalogue::classes())),
            'mask' => $kinds(MaskReader::read(...), MaskReader::kinds()),
            'stroke' => $one(MaskReader::stroke(...)),
            'inkStroke' => $one(SourceReader::stroke(...)),
            'scribble' => $one(EffectReader::scribble(...)),
            'repeat' => $one($layers->repeat(...)),
            'follows' => $one($layers->follows(...)),
            'wear' => $one(ArtworkReader::wear(...)),
        ];
    }

    /**
     * @param  callable(Reading): mixed  $reader
     * @param  list<string>  $optional
     * @param  array<string, string>  $fixed  words by key, of an object that comes in several kinds
     * @return array<string, mixed>
     */
    public static function described(callable $reader, bool $complete, array $optional = [], array $fixed = []): array
    {
        $description = new Description(self::AT, $fixed);
        $reader($description);

        return $description->schema($complete, $optional);
    }
}
