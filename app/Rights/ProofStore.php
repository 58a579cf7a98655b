<?php

declare(strict_types=1);

namespace App\Rights;

use App\Models\LicenceRecord;
use App\Models\Proof;
use App\Models\Shop;
use App\Upkeep\Room;

/** Stores documents under the hash of their content; they are never opened or changed. */
final class ProofStore
{
    public const MOST_BYTES = 20_000_000;

    /** Accepted file extensions, each with whether it can be shown as text. */
    public const TYPES = ['pdf' => false, 'png' => false, 'jpg' => false, 'jpeg' => false, 'txt' => true, 'md' => true, 'html' => true, 'htm' => true, 'eml' => true];

    private const MOST_TEXT = 200_000;

    /** @throws ProofRefused */
    public function keep(Shop $shop, LicenceRecord $licence, string $path, string $name): Proof
    {
        $name = mb_substr(basename(str_replace('\\', '/', (string) preg_replace('/[\x00-\x1f\x7f]/u', '', $name))), -200);
        $type = strtolower(pathinfo($name, PATHINFO_EXTENSION));
        $bytes = (int) filesize($path);
        match (true) {
            ! array_key_exists($type, self::TYPES) => throw ProofRefused::type($name),
            $bytes === 0 => throw ProofRefused::blank($name),
            $bytes > self::MOST_BYTES => throw ProofRefused::tooLarge($name, self::MOST_BYTES),
            ! self::isWhatItSays($path, $type) => throw ProofRefused::notWhatItSays($name, $type),
            default => null,
        };
        Room::demand($shop->folder('proofs'), $bytes);
        $sha256 = (string) hash_file('sha256', $path);
        $target = $shop->folder('proofs')."/$sha256";
        if (! is_file($target)) {
            copy($path, "$target.coming") && rename("$target.coming", $target);
            chmod($target, 0o400);
        }

        return $licence->proofs()->firstOrCreate(['sha256' => $sha256], ['shop_id' => $shop->id, 'name' => $name, 'type' => $type, 'bytes' => $bytes, 'came_at' => now()]);
    }

    /** The text of a document; null if it has none. HTML is shown as source, never rendered. */
    public function text(Proof $proof): ?string
    {
        if (! (self::TYPES[$proof->type] ?? false) || ! is_file($proof->path())) {
            return null;
        }
        $text = (string) file_get_contents($proof->path(), length: self::MOST_TEXT);
        $text = mb_check_encoding($text, 'UTF-8') ? $text : mb_convert_encoding($text, 'UTF-8', 'ISO-8859-1');

        return (string) preg_replace('/[^\P{C}\n\t]+/u', '', $text);
    }

    /** Whether the stored file still has its original content. */
    public function isWhole(Proof $proof): bool
    {
        return is_file($proof->path()) && hash_file('sha256', $proof->path()) === $proof->sha256;
    }

    /** Checks the type by the first bytes; texts must not contain null bytes. */
    private static function isWhatItSays(string $path, string $type): bool
    {
        $head = (string) file_get_contents($path, length: 4096);

        return match ($type) {
            'pdf' => str_contains(substr($head, 0, 1024), '%PDF-'),
            'png' => str_starts_with($head, "\x89PNG\r\n\x1a\n"),
            'jpg', 'jpeg' => str_starts_with($head, "\xff\xd8\xff"),
            default => ! str_contains($head, "\0"),
        };
    }
}
