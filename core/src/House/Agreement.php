<?php

declare(strict_types=1);

namespace TallCrow\House;

/** Compares one figure of a file as written by us with the same figure as measured by the house. */
final readonly class Agreement
{
    /** Allowed relative difference of the resolution, since files state it in whole pixels per metre (PNG, pHYs). */
    private const PPI_SHARE = 0.002;

    private function __construct(
        public string $what,
        public string $ours,
        public string $theirs,
        public bool $differs,
    ) {}

    /**
     * Compares our figures with theirs; figures that one side does not state are left out.
     *
     * @return list<self>
     */
    public static function between(FileFigures $ours, FileFigures $theirs): array
    {
        $yes = fn (bool $is): string => $is ? 'yes' : 'no';
        $all = [self::row('pixels', "$ours->width × $ours->height", "$theirs->width × $theirs->height")];
        if ($ours->ppi > 0 && $theirs->ppi > 0) {
            $all[] = new self('ppi at its width', self::figure($ours->ppi), self::figure($theirs->ppi), abs($ours->ppi - $theirs->ppi) > self::PPI_SHARE * $ours->ppi);
        }
        if ($ours->transparent !== null && $theirs->transparent !== null) {
            $all[] = self::row('transparent', $yes($ours->transparent), $yes($theirs->transparent));
        }
        if ($ours->colours !== '' && $theirs->colours !== '') {
            $all[] = self::row('colours', $ours->colours, $theirs->colours);
        }
        $all[] = self::row('bytes', number_format($ours->bytes), number_format($theirs->bytes));
        if ($ours->sha256 !== '' && $theirs->sha256 !== '') {
            $all[] = self::row('content (SHA-256)', substr($ours->sha256, 0, 12), substr($theirs->sha256, 0, 12));
        }

        return $all;
    }

    private static function row(string $what, string $ours, string $theirs): self
    {
        return new self($what, $ours, $theirs, $ours !== $theirs);
    }

    private static function figure(float $ppi): string
    {
        return rtrim(rtrim(sprintf('%.1f', $ppi), '0'), '.');
    }
}
