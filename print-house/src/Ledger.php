<?php

declare(strict_types=1);

namespace PrintHouse;

/** What was brought and what was printed of it. A key is taken once; the same key gets the same answer. */
final class Ledger
{
    private \PDO $book;

    public function __construct(string $file)
    {
        $this->book = new \PDO("sqlite:$file", options: [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION, \PDO::ATTR_TIMEOUT => 10]);
        $this->book->exec('PRAGMA journal_mode = WAL');
        $this->book->exec('CREATE TABLE IF NOT EXISTS files (id INTEGER PRIMARY KEY, house TEXT, key TEXT, sha256 TEXT, answer TEXT, accepted INTEGER, at REAL, printed REAL, UNIQUE (house, key))');
        $this->book->exec('CREATE TABLE IF NOT EXISTS moods (id INTEGER PRIMARY KEY, mood TEXT)');
        $this->book->exec('CREATE TABLE IF NOT EXISTS turns (id INTEGER PRIMARY KEY)');
    }

    /** @return ?array{id: int, sha256: string, answer: string} */
    public function byKey(string $house, string $key): ?array
    {
        $found = $this->rows('SELECT id, sha256, answer FROM files WHERE house = ? AND key = ?', [$house, $key])[0] ?? null;

        /** @var ?array{id: int, sha256: string, answer: string} */
        return $found;
    }

    /**
     * Notes a file, unless its key is there already.
     *
     * @param  array<string, mixed>  $answer
     */
    public function note(string $house, string $key, string $sha256, array $answer, bool $accepted): int
    {
        $this->rows('INSERT OR IGNORE INTO files (house, key, sha256, answer, accepted, at) VALUES (?, ?, ?, ?, ?, ?)', [$house, $key, $sha256, json_encode($answer, JSON_THROW_ON_ERROR), (int) $accepted, microtime(true)]);

        return $this->byKey($house, $key)['id'] ?? 0;
    }

    /** @return ?array{answer: string, accepted: int, printed: ?float} after what is due was printed */
    public function file(string $house, int $id, int $seconds): ?array
    {
        $this->rows('UPDATE files SET printed = ? WHERE accepted = 1 AND printed IS NULL AND at <= ?', [microtime(true), microtime(true) - $seconds]);

        /** @var ?array{answer: string, accepted: int, printed: ?float} */
        return $this->rows('SELECT answer, accepted, printed FROM files WHERE house = ? AND id = ?', [$house, $id])[0] ?? null;
    }

    /** @return list<array<string, mixed>> each file that is or will be printed */
    public function prints(): array
    {
        return $this->rows('SELECT house, key, sha256 FROM files WHERE accepted = 1 ORDER BY id', []);
    }

    /** @param  list<Moods>  $moods  of the next files that are brought */
    public function setMoods(array $moods): void
    {
        $this->book->exec('DELETE FROM moods');
        foreach ($moods as $mood) {
            $this->rows('INSERT INTO moods (mood) VALUES (?)', [$mood->value]);
        }
    }

    public function mood(bool $moody): Moods
    {
        $set = $this->rows('DELETE FROM moods WHERE id = (SELECT MIN(id) FROM moods) RETURNING mood', [])[0]['mood'] ?? null;
        $this->book->exec('INSERT INTO turns DEFAULT VALUES');

        return is_string($set) ? Moods::from($set) : ($moody ? Moods::ofTurn((int) $this->book->lastInsertId()) : Moods::Fine);
    }

    /**
     * @param  list<mixed>  $values
     * @return list<array<string, mixed>>
     */
    private function rows(string $sql, array $values): array
    {
        $asked = $this->book->prepare($sql);
        $asked->execute($values);

        /** @var list<array<string, mixed>> */
        return $asked->fetchAll(\PDO::FETCH_ASSOC);
    }
}
