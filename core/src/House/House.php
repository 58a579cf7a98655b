<?php

declare(strict_types=1);

namespace TallCrow\House;

use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\Fault;
use TallCrow\Artwork\Faults;
use TallCrow\Artwork\Node;
use TallCrow\Artwork\Reading;
use TallCrow\Export\FileKind;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;

/** A print house: the products it prints on and its requirements for files. docs/house-format.md describes the file format. */
final readonly class House
{
    public const FORMAT = 'tallcrow.house/1';

    public const MOST_PLACES = 200;

    public const LEAST_PPI = 50;

    private const MOST_BYTES = 1_000_000;

    /** @param  list<HousePlace>  $places */
    public function __construct(
        public string $name,
        public array $places,
        public NamePattern $names,
        public string $notes = '',
    ) {}

    /** @throws ArtworkInvalid */
    public static function json(string $json): self
    {
        if (strlen($json) > self::MOST_BYTES) {
            throw new ArtworkInvalid([new Fault('', sprintf('is %d bytes long; %d is the most', strlen($json), self::MOST_BYTES))]);
        }
        try {
            return self::data(json_decode($json, true, 16, JSON_THROW_ON_ERROR));
        } catch (\JsonException $unreadable) {
            throw new ArtworkInvalid([new Fault('', 'is not JSON: '.$unreadable->getMessage())]);
        }
    }

    /**
     * @param  mixed  $data  as toArray() writes it
     *
     * @throws ArtworkInvalid
     */
    public static function data(mixed $data): self
    {
        $faults = new Faults;
        $root = Node::root($data, $faults)->knows('format', 'name', 'names', 'notes', 'places');
        $root->word('format', [self::FORMAT]);
        $house = new self(
            $root->text('name', 120),
            array_map(self::place(...), $root->items('places', self::MOST_PLACES)),
            NamePattern::read($root, 'names'),
            $root->text('notes', 1000, ''),
        );
        if (trim($house->name) === '') {
            $root->fault('is blank: a house needs a name', 'name');
        }
        $keys = array_count_values(array_map(fn (HousePlace $place): string => $place->key(), $house->places));
        foreach (array_filter($keys, fn (int $times): bool => $times > 1) as $key => $times) {
            $root->fault(sprintf('"%s" is listed %d times; each place of a product once', $key, $times), 'places');
        }
        $faults->settle();

        return $house;
    }

    public function at(string $key): ?HousePlace
    {
        foreach ($this->places as $place) {
            if ($place->key() === mb_strtolower($key)) {
                return $place;
            }
        }

        return null;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['format' => self::FORMAT, 'name' => $this->name, 'names' => $this->names->pattern, 'notes' => $this->notes, 'places' => array_map(fn (HousePlace $place): array => $place->toArray(), $this->places)];
    }

    private static function place(Reading $node): HousePlace
    {
        $node = $node->knows('product', 'place', 'area', 'least', 'margin', 'kind', 'mostMegabytes', 'finestLine', 'smallestWords', 'underbase', 'mirrored', 'cloths');
        [$product, $place] = [trim($node->text('product', 60)), trim($node->text('place', 60))];
        foreach (['product' => $product, 'place' => $place] as $key => $said) {
            if ($said === '') {
                $node->fault('is blank', $key);
            }
        }
        $area = $node->child('area')->knows('width', 'height', 'ppi');
        $optional = fn (string $key, float $least, float $most): ?float => $node->isNull($key) ? null : $node->number($key, $least, $most);

        return new HousePlace(
            $product, $place,
            PrintArea::pixels("$product, $place", $area->integer('width', 1, PrintArea::MAX_SIDE), $area->integer('height', 1, PrintArea::MAX_SIDE), Ppi::of($area->number('ppi', self::LEAST_PPI, 1200))),
            $node->number('least', 10, 1200, 200), $node->number('margin', 0, 5, 0), $node->choice('kind', FileKind::class, FileKind::Png),
            $optional('mostMegabytes', 0.1, 10_000), $optional('finestLine', 0.0005, 1), $optional('smallestWords', 0.005, 5),
            $node->flag('underbase', true), $node->flag('mirrored', false), array_map(ArtworkReader::garment(...), $node->items('cloths', 60)),
        );
    }
}
