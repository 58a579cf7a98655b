<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\Asset;
use App\Models\AssetKind;

/** A font or picture of the shelf. */
final readonly class AssetCard extends Answer
{
    /**
     * @param  list<string>  $features  OpenType features of a font
     * @param  list<string>  $varies  names of a variable font's axes, such as weight
     * @param  list<string>  $leftOut  what the file had that is not printed
     * @param  list<string>  $tags
     */
    public function __construct(
        public int $id,
        public AssetKind $kind,
        public string $file,
        public string $title,
        public string $genre,
        public string $type,
        public int $bytes,
        public ?float $width,
        public ?float $height,
        public string $pack,
        public string $cut,
        public array $features,
        public array $varies,
        public array $leftOut,
        public bool $favourite,
        public Licence $licence,
        public ?int $licenceId,
        public array $tags,
        /** When it was moved to the bin; null if it is on the shelf. */
        public ?string $binnedAt,
    ) {}

    public static function of(Asset $asset): self
    {
        return new self(
            $asset->id, $asset->kind, $asset->file, $asset->title, $asset->genre, $asset->type, $asset->bytes, $asset->width, $asset->height,
            $asset->pack, $asset->cut, $asset->features, $asset->varies, $asset->left_out, $asset->favourite, new Licence($asset->licence_name, $asset->licence_author, $asset->licence_url),
            $asset->licence_id, $asset->tags ?? [], $asset->binned_at?->toIso8601String(),
        );
    }
}
