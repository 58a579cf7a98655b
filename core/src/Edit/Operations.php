<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\Fault;
use TallCrow\Artwork\Faults;
use TallCrow\Artwork\Following;
use TallCrow\Artwork\Node;
use TallCrow\Artwork\Reading;
use TallCrow\Artwork\Schema\ArtworkSchema;
use TallCrow\Compose\ArrangeRefused;
use TallCrow\Render\Placer;

/** All operations; reads a list of them and carries it out. A new operation is a class of its own and one entry here. */
final class Operations
{
    private const CLASSES = [
        AddPiece::class, DrawStroke::class, SetWords::class, CopyPieces::class, Paste::class, FollowRecipe::class, RemovePieces::class, Reorder::class, Group::class, Ungroup::class,
        Move::class, Scale::class, Turn::class, Flip::class, Align::class, Space::class, Stretch::class, SizeBy::class, StandAround::class, SetForm::class,
        AddEffect::class, SetChoice::class, ReorderLine::class, RemoveLine::class, PutInOrder::class, AddRepeat::class, AddMask::class, AddWear::class, ScaleWear::class, Shield::class,
        HardenMasks::class, AsHalftone::class, CoverCut::class, SetOpacity::class, SetBlend::class, SetRole::class, TakeOut::class, LayCut::class, SwapPicture::class,
        Refit::class, LeaveGarmentOut::class, MeanSo::class, NameColour::class, RenameColour::class, RemoveColour::class,
    ];

    /** Greatest number in one request. */
    private const MOST = 200;

    /** @return array<string, class-string<Operation>> by name */
    public static function classes(): array
    {
        static $byName = null;

        return $byName ??= array_combine(array_map(fn (string $class): string => $class::name(), self::CLASSES), self::CLASSES);
    }

    /**
     * @param  mixed  $data  a decoded list of operations
     * @return list<Operation>
     *
     * @throws ArtworkInvalid
     */
    public static function read(mixed $data): array
    {
        $faults = new Faults;
        $operations = array_map(self::one(...), Node::root(['operations' => $data], $faults)->items('operations', self::MOST));
        if ($operations === []) {
            $faults->add(new Fault('operations', 'holds none; one is the least'));
        }
        $faults->settle();

        return $operations;
    }

    /**
     * A JSON Schema of one operation; it refers to the definitions of the artwork's schema.
     *
     * @return array<string, mixed>
     */
    public static function schema(): array
    {
        return ['oneOf' => array_map(
            fn (string $class): array => ArtworkSchema::described(self::one(...), false, fixed: ['op' => $class::name()]),
            self::CLASSES,
        )];
    }

    public static function one(Reading $node): Operation
    {
        return self::classes()[$node->word('op', array_keys(self::classes()))]::read($node);
    }

    /**
     * The sheet that comes out is read once more as a file would be: swatches are looked up, and what an operation
     * brought out of its bounds is refused.
     *
     * @param  list<Operation>  $operations  each applied to the result of the one before
     *
     * @throws ArtworkInvalid|EditRefused|ArrangeRefused
     */
    public static function apply(array $operations, Artwork $artwork, Placer $placer): Edited
    {
        $edited = Edited::of($artwork);
        foreach ($operations as $operation) {
            $next = $operation->apply($edited->artwork, $placer);
            $edited = Edited::choosing($next->artwork, $next->chosen === [] ? $edited->chosen : $next->chosen);
        }

        return Edited::choosing(ArtworkReader::data(Following::led($artwork, $edited->artwork)->toArray()), $edited->chosen);
    }
}
