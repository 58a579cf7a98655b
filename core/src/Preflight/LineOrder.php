<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\EffectOrder;
use TallCrow\Artwork\Layer;
use TallCrow\Edit\PutInOrder;
use TallCrow\Raster\Composition;
use TallCrow\Render\Frame;

/** Lines in an order that harms (common practice): a warp after a ring bends the ring too, a fill laid over a piece before its ring is cut by it. */
final class LineOrder implements ChecksSheet
{
    private const PPI = 60.0;

    private const ROOM = 0.2;

    /** Levels by which a pixel must differ, and the share of the ink that must. */
    private const DIFFERS = 40.0;

    private const LEAST = 0.004;

    public function sheet(SheetSubject $subject): array
    {
        $findings = [];
        foreach ($subject->artwork->everyLayer() as $layer) {
            $warps = EffectOrder::warpsAfterRings($layer->effects);
            $overlays = EffectOrder::overlaysBeforeRings($layer->effects);
            if (! $layer->on || ($warps === [] && $overlays === []) || ! self::matters($layer, $subject)) {
                continue;
            }
            if ($warps !== []) {
                [$ring, $warp] = $warps[0];
                $findings[] = self::finding($layer, 'warp after ring', sprintf(
                    'The %s of %s comes after its %s, so the ring is bent with the letters and no longer keeps its width. Warp first, ring after.',
                    $layer->effects[$warp]->kind, $layer->called(), $layer->effects[$ring]->kind,
                ));
            } else {
                [$fill, $ring] = $overlays[0];
                $findings[] = self::finding($layer, 'fill before ring', sprintf(
                    'The %s of %s comes before its %s. A fill laid over the whole reads best after the rings.',
                    $layer->effects[$fill]->kind, $layer->called(), $layer->effects[$ring]->kind,
                ));
            }
        }

        return $findings;
    }

    /** Whether the piece comes out otherwise once its lines are in order. */
    private static function matters(Layer $layer, SheetSubject $subject): bool
    {
        $reach = $subject->reach($layer->id);
        $frame = $reach === null ? null : Frame::about($reach->grown(self::ROOM), self::PPI);
        if ($frame === null) {
            return false;
        }
        [$as, $ordered] = [$subject->inked($layer, $frame), $subject->inked($layer->withEffects(EffectOrder::mended($layer->effects)), $frame)];
        $off = Composition::premultiplied($as)->minus(Composition::premultiplied($ordered))->linear(1.0)->raised(2.0)->isMore(self::DIFFERS ** 2)->mean() / 255;

        return $off * $frame->width * $frame->height > self::LEAST * max(1.0, $as->alpha()->isMore(127.0)->area());
    }

    private static function finding(Layer $layer, string $figure, string $says): Finding
    {
        return Finding::of(Group::Composition, 'order:'.$layer->id, $layer->called(), Verdict::Warn, $figure, 'warp, ring, fill over all', $says)
            ->about($layer->id)
            ->mendedBy(Mend::by('Put the lines in order', new PutInOrder($layer->id)));
    }
}
