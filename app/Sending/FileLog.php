<?php

declare(strict_types=1);

namespace App\Sending;

use App\Models\Export;
use App\Models\Gang;
use App\Models\HouseRecord;
use App\Models\LogEntry;
use App\Models\LogEvent;
use App\Models\Parcel;
use App\Models\User;
use App\Sending\Houses\HouseAnswer;

/** Logs every print file and the replies of houses. */
final class FileLog
{
    /** @param  array<string, mixed>  $figures  as the print process tells them */
    public static function exported(Export $export, array $figures): void
    {
        $house = $export->destination === null ? null : HouseRecord::query()->where('shop_id', $export->shop_id)->find($export->destination['house']);
        LogEntry::query()->create([
            'shop_id' => $export->shop_id, 'title' => $export->title === '' ? $export->job->title : $export->title, 'job_id' => $export->print_job_id, 'revision_id' => $export->revision_id, 'file' => $export->file,
            'sha256' => self::word($figures, 'sha256'), 'house' => $house->name ?? '', 'place' => $export->destination['place'] ?? '',
            'width' => self::number($figures, 'width'), 'height' => self::number($figures, 'height'), 'ppi' => self::number($figures, 'ppi'), 'bytes' => self::number($figures, 'bytes'),
            'checks' => self::checks($figures), 'rulings' => $export->rulings, 'why' => $export->why, 'who' => User::query()->find($export->user_id)->name ?? '', 'at' => now(),
        ]);
    }

    public static function answered(Parcel $parcel, HouseAnswer $answer): void
    {
        $export = $parcel->export;
        $figures = $export->figures ?? [];
        LogEntry::query()->create([
            'shop_id' => $parcel->shop_id, 'title' => $export->title === '' ? $export->job->title : $export->title, 'job_id' => $export->print_job_id, 'revision_id' => $export->revision_id, 'file' => $export->file, 'sha256' => $export->sha256,
            'house' => $parcel->house->name ?? '', 'place' => $export->destination['place'] ?? '', 'width' => self::number($figures, 'width'), 'height' => self::number($figures, 'height'), 'ppi' => self::number($figures, 'ppi'), 'bytes' => self::number($figures, 'bytes'),
            'checks' => self::checks($figures), 'at' => now(), 'event' => LogEvent::of($answer->verdict), 'details' => ['number' => $answer->number, 'reasons' => $answer->reasons, 'measured' => $answer->measured->toArray()],
        ]);
    }

    public static function laid(Gang $gang): void
    {
        foreach ($gang->made['sheets'] ?? [] as $sheet) {
            LogEntry::query()->create([
                'shop_id' => $gang->shop_id, 'title' => mb_substr('Film: '.implode(', ', array_map(fn (array $piece): string => "{$piece['count']} × {$piece['title']}", $gang->asked['pieces'])), 0, 200),
                'file' => $sheet['file'], 'sha256' => $sheet['sha256'], 'place' => 'film', 'width' => $sheet['width'], 'height' => $sheet['height'], 'ppi' => 300, 'bytes' => $sheet['bytes'], 'checks' => ['fail' => 0, 'warn' => 0, 'pass' => 0], 'at' => now(),
            ]);
        }
    }

    /**
     * @param  array<string, mixed>  $figures
     * @return array{fail: int, warn: int, pass: int}
     */
    private static function checks(array $figures): array
    {
        $findings = is_array($figures['report'] ?? null) && is_array($figures['report']['findings'] ?? null) ? $figures['report']['findings'] : [];
        $count = fn (string $verdict): int => count(array_filter($findings, fn (mixed $one): bool => is_array($one) && ($one['verdict'] ?? '') === $verdict));

        return ['fail' => $count('fail'), 'warn' => $count('warn'), 'pass' => $count('pass')];
    }

    /** @param  array<string, mixed>  $figures */
    private static function word(array $figures, string $key): string
    {
        return is_string($figures[$key] ?? null) ? $figures[$key] : '';
    }

    /** @param  array<string, mixed>  $figures */
    private static function number(array $figures, string $key): float
    {
        return is_numeric($figures[$key] ?? null) ? (float) $figures[$key] : 0.0;
    }
}
