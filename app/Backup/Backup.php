<?php

declare(strict_types=1);

namespace App\Backup;

use SQLite3;
use ZipArchive;

/**
 * Backs up an installation into one archive while it is running: the database by SQLite's online backup, then every file that it
 * refers to, with content hashes. Files that can be regenerated are left out. The archive is verified before it is reported as made.
 */
final class Backup
{
    public const FORMAT = 'tallcrow.backup/1';

    /** Folders of a shop that cannot be regenerated. */
    private const FOLDERS = ['assets', 'exports', 'proofs'];

    /**
     * @param  string  $database  the SQLite file that is in use
     * @param  string  $storage  the folder of the shops
     * @param  string  $folder  where the archive shall lie
     * @return string the archive
     *
     * @throws BackupRefused
     */
    public static function make(string $database, string $storage, string $folder): string
    {
        is_dir($folder) || @mkdir($folder, 0o700, true) || throw BackupRefused::unwritable($folder);
        $name = sprintf('%s/tall-crow-%s.zip', $folder, gmdate('Y-m-d\THis\Z'));
        $aside = $name.'.part';
        $copy = $name.'.sqlite';
        try {
            self::copyDatabase($database, $copy);
            $zip = new ZipArchive;
            $zip->open($aside, ZipArchive::CREATE | ZipArchive::OVERWRITE) === true || throw BackupRefused::unwritable($aside);
            $zip->addFile($copy, 'database.sqlite');
            $manifest = ['format' => self::FORMAT, 'made' => gmdate('c'), 'database' => hash_file('sha256', $copy), 'files' => self::addFiles($zip, $storage)];
            $zip->addFromString('manifest.json', json_encode($manifest, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR));
            @$zip->close() || throw BackupRefused::unwritable($aside);
            Archive::check($aside);
            chmod($aside, 0o600);
            rename($aside, $name) || throw BackupRefused::unwritable($name);

            return $name;
        } finally {
            array_map(fn (string $left): bool => ! is_file($left) || unlink($left), [$copy, $aside]);
        }
    }

    /** https://www.sqlite.org/backup.html: pages are copied while others read and write; pages that change meanwhile are copied again. */
    private static function copyDatabase(string $from, string $to): void
    {
        is_file($from) || throw BackupRefused::noDatabase($from);
        $source = new SQLite3($from, SQLITE3_OPEN_READONLY);
        $source->busyTimeout(20_000);
        $target = new SQLite3($to);
        $done = $source->backup($target);
        $target->exec('PRAGMA journal_mode = DELETE');
        $whole = $target->querySingle('PRAGMA integrity_check');
        $target->close();
        $source->close();
        $done && $whole === 'ok' || throw BackupRefused::broken('the copy of the database is not whole');
    }

    /** @return list<array{path: string, sha256: string, bytes: int}> */
    private static function addFiles(ZipArchive $zip, string $storage): array
    {
        $files = [];
        $held = [];
        foreach (self::FOLDERS as $folder) {
            foreach (glob("$storage/*/$folder/*") ?: [] as $path) {
                $hash = is_file($path) ? hash_file('sha256', $path) : false;
                // A file that was deleted meanwhile is simply left out.
                if ($hash === false || str_ends_with($path, '.part') || str_ends_with($path, '.part.png')) {
                    continue;
                }
                if (! isset($held[$hash])) {
                    $held[$hash] = true;
                    $zip->addFile($path, "files/$hash");
                    $zip->setCompressionName("files/$hash", ZipArchive::CM_STORE);
                }
                $files[] = ['path' => substr($path, strlen($storage) + 1), 'sha256' => $hash, 'bytes' => (int) filesize($path)];
            }
        }

        return $files;
    }
}
