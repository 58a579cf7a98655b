<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Models\Asset;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * The search index of assets. On SQLite a full-text table (FTS5), searched by prefixes of words without regard to
 * accents; on other database engines a plain table, searched by substrings.
 */
final class ShelfWords
{
    private const TABLE = 'asset_words';

    private const MOST_WORDS = 8;

    public static function make(): void
    {
        if (self::isFullText()) {
            DB::statement('create virtual table if not exists asset_words using fts5(words, tokenize = "unicode61 remove_diacritics 2", prefix = "2 3")');
        } else {
            Schema::create(self::TABLE, function ($table): void {
                $table->unsignedBigInteger('rowid')->primary();
                $table->text('words');
            });
        }
    }

    public static function drop(): void
    {
        Schema::dropIfExists(self::TABLE);
    }

    public static function renew(Asset $asset): void
    {
        self::forget($asset->id);
        DB::table(self::TABLE)->insert(['rowid' => $asset->id, 'words' => mb_strtolower(implode(' ', array_filter([
            $asset->title, $asset->file, str_replace(['-', '_', '.'], ' ', $asset->file), $asset->genre, $asset->pack, $asset->kind->value, $asset->licence_name, $asset->licence_author, ...$asset->tags ?? [], ...array_column($asset->colours ?? [], 'name'),
        ])))]);
    }

    public static function forget(int $asset): void
    {
        DB::table(self::TABLE)->where('rowid', $asset)->delete();
    }

    /**
     * Keeps those pieces that have every word that was typed, in whatever order.
     *
     * @param  Builder<Asset>  $assets
     */
    public static function find(Builder $assets, string $typed): void
    {
        $words = array_slice(preg_split('/[^\p{L}\p{N}]+/u', mb_strtolower($typed), -1, PREG_SPLIT_NO_EMPTY) ?: [], 0, self::MOST_WORDS);
        if ($words === []) {
            return;
        }
        if (self::isFullText()) {
            $assets->whereIn('id', DB::table(self::TABLE)->whereRaw('asset_words match ?', [implode(' AND ', array_map(fn (string $word): string => '"'.$word.'"*', $words))])->select('rowid'));
        } else {
            $assets->whereIn('id', DB::table(self::TABLE)->where(fn ($query) => array_map(fn (string $word) => $query->where('words', 'like', "%$word%"), $words))->select('rowid'));
        }
    }

    private static function isFullText(): bool
    {
        return DB::connection()->getDriverName() === 'sqlite';
    }
}
