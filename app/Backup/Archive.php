<?php

declare(strict_types=1);

namespace App\Backup;

use SQLite3;
use ZipArchive;

/** A backup archive: verified against its manifest, and restored. */
final class Archive
{
    private const PATH = '~^\d+/(assets|exports|proofs)/[\w][\w.-]*$~';

    /** @throws BackupRefused if a file is missing or differs from the manifest */
    public static function check(string $path): void
    {
        $zip = self::open($path);
        $manifest = self::manifest($zip);
        foreach ($manifest['files'] as $file) {
            self::hash($zip, "files/{$file['sha256']}") === $file['sha256'] || throw BackupRefused::broken("the file {$file['path']} is missing or was changed");
        }
        self::hash($zip, 'database.sqlite') === $manifest['database'] || throw BackupRefused::broken('the database is missing or was changed');
        $zip->close();
    }

    /**
     * Lays a backup out where nothing is yet.
     *
     * @return int how many files
     *
     * @throws BackupRefused
     */
    public static function restore(string $path, string $database, string $storage): int
    {
        if ((is_file($database) && filesize($database) > 0) || (glob("$storage/*") ?: []) !== []) {
            throw BackupRefused::notEmpty($database, $storage);
        }
        self::check($path);
        $zip = self::open($path);
        $manifest = self::manifest($zip);
        foreach ($manifest['files'] as $file) {
            preg_match(self::PATH, $file['path']) === 1 || throw BackupRefused::broken("\"{$file['path']}\" is no place of a shop's file");
            self::copy($zip, "files/{$file['sha256']}", "$storage/{$file['path']}");
        }
        self::copy($zip, 'database.sqlite', $database);
        chmod($database, 0o600);
        $opened = new SQLite3($database);
        $whole = $opened->querySingle('PRAGMA integrity_check');
        // Jobs that were running when the copy was made are found and restarted by the workers.
        $opened->exec('DELETE FROM jobs');
        $opened->close();
        $whole === 'ok' || throw BackupRefused::broken('the database is not whole');

        return count($manifest['files']);
    }

    private static function open(string $path): ZipArchive
    {
        $zip = new ZipArchive;

        return $zip->open($path, ZipArchive::RDONLY | ZipArchive::CHECKCONS) === true ? $zip : throw BackupRefused::broken('it is no archive, or was cut short');
    }

    /** @return array{format: string, database: string, files: list<array{path: string, sha256: string, bytes: int}>} */
    private static function manifest(ZipArchive $zip): array
    {
        /** @var ?array{format: string, database: string, files: list<array{path: string, sha256: string, bytes: int}>} $manifest */
        $manifest = json_decode((string) $zip->getFromName('manifest.json'), true);

        return ($manifest['format'] ?? '') === Backup::FORMAT ? $manifest : throw BackupRefused::broken('it is not of the form '.Backup::FORMAT);
    }

    private static function hash(ZipArchive $zip, string $name): string
    {
        $stream = $zip->getStream($name);
        if ($stream === false) {
            return '';
        }
        $hash = hash_init('sha256');
        hash_update_stream($hash, $stream);
        fclose($stream);

        return hash_final($hash);
    }

    private static function copy(ZipArchive $zip, string $name, string $to): void
    {
        is_dir(dirname($to)) || @mkdir(dirname($to), 0o700, true) || throw BackupRefused::unwritable($to);
        $from = $zip->getStream($name);
        $target = @fopen($to, 'wb');
        if ($from === false || $target === false || @stream_copy_to_stream($from, $target) === false || ! fclose($target)) {
            throw BackupRefused::unwritable($to);
        }
        fclose($from);
    }
}
