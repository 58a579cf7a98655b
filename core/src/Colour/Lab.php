<?php

declare(strict_types=1);

namespace TallCrow\Colour;

final readonly class Lab
{
    public function __construct(
        public float $l,
        public float $a,
        public float $b,
    ) {}

    /** From linear-light sRGB (D65), by the matrix of IEC 61966-2-1. */
    public static function ofLinear(float $r, float $g, float $b): self
    {
        $x = self::root((0.4124 * $r + 0.3576 * $g + 0.1805 * $b) / 0.9505);
        $y = self::root(0.2126 * $r + 0.7152 * $g + 0.0722 * $b);
        $z = self::root((0.0193 * $r + 0.1192 * $g + 0.9505 * $b) / 1.0890);

        return new self(116 * $y - 16, 500 * ($x - $y), 200 * ($y - $z));
    }

    private static function root(float $t): float
    {
        return $t > 216 / 24389 ? $t ** (1 / 3) : (24389 / 27 * $t + 16) / 116;
    }

    /**
     * CIEDE2000 with kL = kC = kH = 1, after Sharma, Wu and Dalal, "The CIEDE2000 Color-Difference Formula",
     * Color Research and Application 30 (2005). A difference of about 1 is just visible side by side.
     */
    public function difference(self $other): float
    {
        $meanC7 = ((hypot($this->a, $this->b) + hypot($other->a, $other->b)) / 2) ** 7;
        $g = 0.5 * (1 - sqrt($meanC7 / ($meanC7 + 25 ** 7)));
        [$a1, $a2] = [(1 + $g) * $this->a, (1 + $g) * $other->a];
        [$c1, $c2] = [hypot($a1, $this->b), hypot($a2, $other->b)];
        [$h1, $h2] = [self::hue($a1, $this->b), self::hue($a2, $other->b)];

        $dl = $other->l - $this->l;
        $dc = $c2 - $c1;
        $turn = $h2 - $h1;
        if ($c1 * $c2 == 0.0) {
            $turn = 0.0;
        } elseif (abs($turn) > 180) {
            $turn += $turn > 0 ? -360 : 360;
        }
        $dh = 2 * sqrt($c1 * $c2) * sin(deg2rad($turn / 2));

        $l = ($this->l + $other->l) / 2;
        $c = ($c1 + $c2) / 2;
        $h = $h1 + $h2;
        if ($c1 * $c2 != 0.0) {
            $h = abs($h1 - $h2) <= 180 ? $h / 2 : ($h < 360 ? ($h + 360) / 2 : ($h - 360) / 2);
        }

        $t = 1 - 0.17 * cos(deg2rad($h - 30)) + 0.24 * cos(deg2rad(2 * $h)) + 0.32 * cos(deg2rad(3 * $h + 6)) - 0.20 * cos(deg2rad(4 * $h - 63));
        $sl = 1 + 0.015 * ($l - 50) ** 2 / sqrt(20 + ($l - 50) ** 2);
        $sc = 1 + 0.045 * $c;
        $sh = 1 + 0.015 * $c * $t;
        $rt = -2 * sqrt($c ** 7 / ($c ** 7 + 25 ** 7)) * sin(deg2rad(60 * exp(-(($h - 275) / 25) ** 2)));

        return sqrt(($dl / $sl) ** 2 + ($dc / $sc) ** 2 + ($dh / $sh) ** 2 + $rt * ($dc / $sc) * ($dh / $sh));
    }

    /** Whether a colour lies within a CIEDE2000 difference. Most are told by lightness alone, whose weight SL is at most 1.75. */
    public function isWithin(float $difference, self $other): bool
    {
        return abs($this->l - $other->l) <= 1.76 * $difference && $this->difference($other) < $difference;
    }

    private static function hue(float $a, float $b): float
    {
        if ($a == 0.0 && $b == 0.0) {
            return 0.0;
        }
        $degrees = rad2deg(atan2($b, $a));

        return $degrees < 0 ? $degrees + 360 : $degrees;
    }
}
