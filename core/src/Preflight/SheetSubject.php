<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Flip;
use TallCrow\Artwork\Garment;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Placement;
use TallCrow\Artwork\Role;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Asset\Shelf;
use TallCrow\Colour\Srgb;
use TallCrow\Cutout\ColourKeys;
use TallCrow\Effect\Retouches;
use TallCrow\Geometry\Box;
use TallCrow\Measure\PrintArea;
use TallCrow\Raster\Image;
use TallCrow\Render\Compositor;
use TallCrow\Render\Frame;
use TallCrow\Render\LayerTrouble;
use TallCrow\Render\Piece;
use TallCrow\Render\Renderer;
use TallCrow\Type\FontRefused;
use TallCrow\Type\MissingGlyphs;

/** A sheet to be checked, all of whose layers can be drawn, with its picture. Caches what several checks need. */
final class SheetSubject
{
    /** Ppi at which it is first checked whether a piece has ink, and ppi that also shows hairlines. */
    private const GLANCE = 50.0;

    private const CLOSE = 100.0;

    /** Alpha up to this level does not count as ink. */
    private const FAINT = 8.0;

    /** @var array<string, bool> by id */
    private array $blank = [];

    /** @var array<string, Topmost> by frame and level */
    private array $known = [];

    /** @var array<string, Standing> by cloth */
    private array $standing = [];

    /** @var array<int, Image> by ppi */
    private array $samples = [];

    /** @var array<int, Image> by ppi */
    private array $mixed = [];

    /** @var array<int, array{?Image}> by ppi */
    private array $weak = [];

    /** @var array<int, InkAndCloth> by ppi */
    private array $seen = [];

    /** @var array<int, ColourKeys> by ppi */
    private array $colours = [];

    /** @var array<string, Piece> by window and step */
    private array $unworn = [];

    public readonly Demands $demands;

    public function __construct(
        public readonly Artwork $artwork,
        public readonly Renderer $renderer,
        public readonly Shelf $shelf,
        /** The house's print area, or the sheet's own if the house is unknown. */
        public readonly PrintArea $area,
        public readonly PictureSubject $picture,
        /** @var list<string> words known to be spelt correctly, in lower case */
        public readonly array $words = [],
        ?Demands $demands = null,
    ) {
        $this->demands = $demands ?? Demands::of($artwork->brief);
    }

    public function reach(string $id): ?Box
    {
        $layer = $this->artwork->layer($id);

        return $layer === null ? null : $this->renderer->placer->reach($layer);
    }

    /** Whether a piece still lies within the sheet when scaled about its centre. */
    public function hasRoom(string $id, float $by): bool
    {
        [$reach, $sheet] = [$this->reach($id), $this->artwork->sheet->box()];

        return $reach !== null && $reach->centreX() - $reach->width() * $by / 2 > 0 && $reach->centreX() + $reach->width() * $by / 2 < $sheet->right
            && $reach->centreY() - $reach->height() * $by / 2 > 0 && $reach->centreY() + $reach->height() * $by / 2 < $sheet->bottom;
    }

    /** Whether a layer's words are to be read: they are printed, or knocked out (unless the knockout only makes room for the same words in ink). */
    public function isRead(Layer $layer): bool
    {
        $text = $layer->words()?->text;
        $isSame = fn (Layer $other): bool => $other->on && $other->role->prints() && $other->words()?->text === $text && $this->isRoomFor($layer, $other);

        return $layer->on && $text !== null && ($layer->role->prints() || array_filter([...$this->artwork->everyLayer()], $isSame) === []);
    }

    private function isRoomFor(Layer $knockout, Layer $words): bool
    {
        $placer = $this->renderer->placer;
        try {
            return $placer->box($knockout)?->intersection($placer->box($words) ?? new Box(0, 0, 0, 0))->isEmpty() === false;
        } catch (AssetUnusable|MissingGlyphs|FontRefused) {
            return true;
        }
    }

    /** The topmost piece at each pixel. */
    public function topmost(Frame $frame, float $least = Topmost::HALF): Topmost
    {
        return $this->known["{$frame->key()} $least"] ??= Topmost::of($this->pieces(), $frame, $this->piece(...), fn (): float => $least);
    }

    /** The same, with a threshold for half-transparent pieces that follows their opacity. */
    public function topmostWeak(Frame $frame): Topmost
    {
        return $this->known["weak {$frame->key()}"] ??= Topmost::of($this->pieces(), $frame, $this->piece(...), WeakInk::level(...));
    }

    /**
     * The pieces that are judged one by one, from the cloth up: a group's children, unless the group changes their appearance as a whole.
     *
     * @return list<Layer>
     */
    public function pieces(): array
    {
        return self::apart($this->artwork->layers);
    }

    /**
     * @param  list<Layer>  $layers
     * @return list<Layer>
     */
    private static function apart(array $layers): array
    {
        return array_merge([], ...array_map(fn (Layer $layer): array => $layer->on && $layer->role->prints() && $layer->showsItsPieces() ? self::apart($layer->children()) : [$layer], $layers));
    }

    /** What stands out of the finished picture on a cloth, at a ppi. */
    public function standing(Garment $garment, float $ppi): Standing
    {
        $seen = $this->seen[(int) $ppi] ??= InkAndCloth::of($this->sampled($ppi));

        return $this->standing["{$garment->colour->toHex()} $ppi"] ??= WeakInk::seenOn($garment, Standing::of($seen, $this->keys($ppi), $garment), $this, $ppi);
    }

    /** The finished picture with halftoned words averaged, as the eye sees them; independent of the cloth. */
    public function mixed(float $ppi): Image
    {
        return $this->mixed[(int) $ppi] ??= WeakInk::mixed($this, $ppi);
    }

    /** A mask of visible half-transparent ink; null if there is none. */
    public function weakAt(float $ppi): ?Image
    {
        return ($this->weak[(int) $ppi] ??= [WeakInk::where($this, $ppi)])[0];
    }

    /** The alpha of all ink before any wear, subsampled in a window. */
    public function beforeWear(Frame $frame, int $every = 1): Piece
    {
        return $this->unworn["{$frame->key()} $every"] ??= $this->compositor()->inkBefore($this->artwork->unworn()->layers, $frame, $every);
    }

    /** The finished picture, subsampled to a ppi. */
    public function sampled(float $ppi): Image
    {
        return $this->samples[(int) $ppi] ??= $this->picture->picture->subsampled(max(1, (int) round($this->picture->ppi / $ppi)))->settled();
    }

    /** Its colours. */
    public function keys(float $ppi): ColourKeys
    {
        return $this->colours[(int) $ppi] ??= ColourKeys::of($this->sampled($ppi));
    }

    /** A piece's ink, ignoring knockouts: subsampled from the drawn piece if the window is an integer factor coarser. */
    public function piece(Layer $layer, Frame $frame): ?Piece
    {
        if (! $layer->on || ! $layer->role->prints()) {
            return null;
        }
        $own = Frame::sheet($this->artwork->sheet, $this->picture->ppi);
        $every = (int) round($this->picture->ppi / $frame->ppi);
        if ($every < 2 || $own->coarser($every) != $frame) {
            return $this->compositor()->piece($layer->withRole(Role::ink()), $frame);
        }

        return $this->compositor()->piece($layer->withRole(Role::ink()), $own)?->glimpsed($every);
    }

    /**
     * A piece of art after retouching and masks, but before looks, rings and wear: upright, filling its own box.
     *
     * @param  float  $side  longer side in pixels
     */
    public function upright(Layer $layer, float $side): ?Image
    {
        $placing = $this->renderer->placer->place($layer);
        if ($placing === null) {
            return null;
        }
        $own = $layer->withEffects(array_values(array_filter($layer->effects, fn (EffectLine $line): bool => is_a($line->is(), Retouches::class, true))))
            ->withDistress([])->withOpacity(1.0)->withRepeat(null)->withRole(Role::ink())
            ->withPlacement(new Placement($placing->width / 2, $placing->height / 2, $placing->width, $placing->height, 0, Flip::None));
        $ppi = $side / max($placing->width, $placing->height);
        $frame = new Frame($ppi, 0, 0, max(4, (int) floor($placing->width * $ppi)), max(4, (int) floor($placing->height * $ppi)));
        $piece = $this->compositor()->piece($own, $frame);

        return $piece === null ? null : $piece->image->embed($piece->frame->left, $piece->frame->top, $frame->width, $frame->height)->settled();
    }

    /** The rim of an upright piece of art; null if nothing of it is drawn. Cached, since moving the piece does not change it. */
    public function rim(Layer $layer, float $side): ?Rim
    {
        $kept = $this->renderer->found('rim '.sha1_file(__DIR__.'/Rim.php').$side.$this->uprightKey($layer), function () use ($layer, $side): string {
            $drawn = $this->upright($layer, $side);

            return serialize($drawn === null ? null : Rim::of($drawn->crop(1, 1, $drawn->width() - 2, $drawn->height() - 2)));
        });
        $rim = unserialize($kept, ['allowed_classes' => [Rim::class, Srgb::class]]);

        return $rim instanceof Rim ? $rim : null;
    }

    /** A cache key for the appearance of an upright piece of art. */
    public function uprightKey(Layer $layer): string
    {
        $placing = $this->renderer->placer->place($layer);

        return serialize([$layer->source, $layer->effects, $layer->masks, $placing?->width, $placing?->height, array_map($this->shelf->fingerprint(...), $layer->files())]);
    }

    /** Whether nothing of a piece is left to print although it has a place: a look, a mask or wear removes all of it. */
    public function isBlank(Layer $layer): bool
    {
        return $this->blank[$layer->id] ??= $this->isBlankAs($layer);
    }

    /** The same for a changed version of a piece. */
    public function isBlankAs(Layer $layer): bool
    {
        $frame = Frame::sheet($this->artwork->sheet, self::GLANCE);
        $reach = $layer->on && $layer->role->prints() ? $this->renderer->placer->reach($layer) : null;
        $close = $reach === null ? null : Frame::about($reach, self::CLOSE);
        // A coarse rendering finds most ink; only if it finds none, render finely for hairlines.
        $glance = $close === null ? null : $this->piece($layer, $frame);

        return $close !== null && ($glance === null || $glance->image->alpha()->range()[1] <= Topmost::HALF) && $this->inked($layer, $close)->alpha()->range()[1] <= self::FAINT;
    }

    /** A layer's ink in a window, clear if there is none. */
    public function inked(Layer $layer, Frame $frame): Image
    {
        $piece = $this->compositor()->piece($layer->withRole(Role::ink()), $frame);

        return $piece === null ? Image::empty($frame->width, $frame->height) : $piece->image->embed($piece->frame->left - $frame->left, $piece->frame->top - $frame->top, $frame->width, $frame->height)->settled();
    }

    public function compositor(): Compositor
    {
        return $this->renderer->compositor(fn (LayerTrouble $trouble): null => null, artwork: $this->artwork);
    }
}
