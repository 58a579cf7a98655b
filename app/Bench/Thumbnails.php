<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Revision;
use TallCrow\Render\DrawingCode;

/** Thumbnails for lists, compressed and cached until the drawing code changes. */
final class Thumbnails
{
    public const MOST_PPI = 24.0;

    public static function kept(Revision $revision, float $ppi): string
    {
        $folder = $revision->job->shop->folder('pictures');
        $file = sprintf('%s/s%s', $folder, sha1(DrawingCode::fingerprint($folder)." $revision->id {$revision->created_at->timestamp} $ppi"));
        $png = is_file($file) ? (string) @file_get_contents($file) : '';
        if ($png === '') {
            $png = Proof::of($revision, $ppi, near: false)->sheet(null);
            $aside = $file.'.'.getmypid();
            if (@file_put_contents($aside, $png) === strlen($png)) {
                rename($aside, $file);
            }
        }

        return $png;
    }
}
