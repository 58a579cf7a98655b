<?php

declare(strict_types=1);

namespace TallCrow\Listing;

/**
 * The outline of a garment in inches: its centre line is x = 0, the neck point y = 0. garments.json gives the right half; the left half is its mirror
 * image. The bench draws from the same file.
 *
 * @phpstan-type Cut array{half: list<list<float>>, neck: array{front: float, back: float, half: float}, top: float, body: array{width: float, height: float}, length: float, seams: array{front: list<string>, back: list<string>}, above: float, extra: ?string}
 */
final readonly class GarmentCut
{
    /** @param  Cut  $cut */
    private function __construct(private array $cut) {}

    /** The outline for a product; products without an outline are shown as a tee. */
    public static function of(string $product): self
    {
        $all = self::all();

        return new self($all[$product] ?? $all['tee']);
    }

    /** @return array<string, Cut> by product */
    private static function all(): array
    {
        static $all = null;

        /** @var array<string, Cut> */
        return $all ??= (array) json_decode((string) file_get_contents(__DIR__.'/garments.json'), true, 12, JSON_THROW_ON_ERROR);
    }

    /** Distance from the neck point down to the print area. */
    public function top(): float
    {
        return $this->cut['top'];
    }

    public function length(): float
    {
        return $this->cut['length'];
    }

    /** Space above the neck point, for a hood or handles. */
    public function above(): float
    {
        return $this->cut['above'];
    }

    /** Half its greatest width. */
    public function reach(): float
    {
        return max([0.0, ...array_map(fn (array $point): float => $point[0], $this->cut['half'])]);
    }

    public function extra(): ?string
    {
        return $this->cut['extra'];
    }

    /** @return list<string> paths of the right half, to be drawn mirrored as well */
    public function seams(bool $back): array
    {
        return $this->cut['seams'][$back ? 'back' : 'front'];
    }

    /** The whole outline as an SVG path. */
    public function outline(bool $back): string
    {
        $half = $this->cut['half'];
        $path = sprintf('M%F 0', $this->cut['neck']['half']);
        for ($i = 1; $i < count($half); $i++) {
            $path .= self::to($half[$i][0], $half[$i][1], isset($half[$i][3]) ? [$half[$i][2], $half[$i][3]] : null);
        }
        for ($i = count($half) - 1; $i > 0; $i--) {
            $path .= self::to(-$half[$i - 1][0], $half[$i - 1][1], isset($half[$i][3]) ? [-$half[$i][2], $half[$i][3]] : null);
        }

        return $path.sprintf('Q0 %F %F 0Z', 2 * $this->cut['neck'][$back ? 'back' : 'front'], $this->cut['neck']['half']);
    }

    /** @param  ?array{float, float}  $handle */
    private static function to(float $x, float $y, ?array $handle): string
    {
        return $handle === null ? sprintf('L%F %F', $x, $y) : sprintf('Q%F %F %F %F', $handle[0], $handle[1], $x, $y);
    }
}
