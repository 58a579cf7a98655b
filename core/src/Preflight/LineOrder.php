<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\EffectOrder;
use TallCrow\Artwork\Layer;
use TallCrow\Edit\PutInOrder;

/** Lines in an order that harms (common practice): a warp after a ring bends the ring too, a fill laid over a piece before its ring is cut by it. */
final class LineOrder implements ChecksSheet
{
    public function sheet(SheetSubject $subject): array
    {
        $findings = [];
        foreach ($subject->artwork->everyLayer() as $layer) {
            $warps = EffectOrder::warpsAfterRings($layer->effects);
            $overlays = EffectOrder::overlaysBeforeRings($layer->effects);
            if ($layer->on && $warps !== []) {
                [$ring, $warp] = $warps[0];
                $findings[] = self::finding($layer, 'warp after ring', sprintf(
                    'The %s of %s comes after its %s, so the ring is bent with the letters and no longer keeps its width. Warp first, ring after.',
                    $layer->effects[$warp]->kind, $layer->called(), $layer->effects[$ring]->kind,
                ));
            } elseif ($layer->on && $overlays !== []) {
                [$fill, $ring] = $overlays[0];
                $findings[] = self::finding($layer, 'fill before ring', sprintf(
                    'The %s of %s comes before its %s. A fill laid over the whole reads best after the rings.',
                    $layer->effects[$fill]->kind, $layer->called(), $layer->effects[$ring]->kind,
                ));
            }
        }

        return $findings;
    }

    private static function finding(Layer $layer, string $figure, string $says): Finding
    {
        return Finding::of(Group::Composition, 'order:'.$layer->id, $layer->called(), Verdict::Warn, $figure, 'warp, ring, fill over all', $says)
            ->about($layer->id)
            ->mendedBy(Mend::by('Put the lines in order', new PutInOrder($layer->id)));
    }
}
