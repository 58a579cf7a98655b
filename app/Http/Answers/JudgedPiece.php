<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\Asset;
use TallCrow\Rights\Judgement;
use TallCrow\Rights\PrintedAs;

/** The rights judgement of one font or picture of a design. */
final readonly class JudgedPiece extends Answer
{
    /**
     * @param  list<string>  $ways  what it does in the print
     * @param  list<string>  $layers  what the layers are called that it stands on
     * @param  list<RightsReason>  $reasons  the gravest first
     */
    public function __construct(
        public ?int $asset,
        public string $file,
        public string $title,
        public array $ways,
        public array $layers,
        public bool $unaltered,
        public ?int $licence,
        public string $licenceName,
        public string $ruling,
        public string $says,
        public array $reasons,
    ) {}

    public static function of(?Asset $asset, Judgement $judgement): self
    {
        return new self(
            $asset?->id, $judgement->file->name, $asset->title ?? $judgement->file->name, array_map(fn (PrintedAs $way): string => $way->says(), $judgement->file->ways), $judgement->file->layers, $judgement->file->unaltered,
            $asset?->licence_id, $judgement->licence->name ?? '', $judgement->ruling->value, $judgement->ruling->says(), array_map(RightsReason::of(...), $judgement->reasons),
        );
    }
}
