<?php

declare(strict_types=1);

namespace PrintHouse;

/** Where files are brought and asked for. openapi.json describes it. */
final readonly class Desk
{
    private const MOST_BYTES = 200_000_000;

    public function __construct(
        private Ledger $ledger,
        private string $houses,
        private bool $moody,
        private bool $control,
        /** After which an accepted file is printed. */
        private int $seconds,
    ) {}

    /** @return ?Answer null where the connection breaks off */
    public function answer(Asked $asked): ?Answer
    {
        [$first, $second, $third] = $asked->path + ['', '', ''];
        if ($first === 'openapi.json') {
            return new Answer(200, (array) json_decode((string) file_get_contents(dirname(__DIR__).'/openapi.json'), true));
        }
        if ($first === 'control' && $this->control) {
            return $this->control($asked, $second);
        }
        $house = Place::houses($this->houses)[$first] ?? null;
        if ($house === null) {
            return Answer::trouble(404, 'No such house.');
        }
        if ($house['token'] !== '' && ! hash_equals($house['token'], $asked->token)) {
            return Answer::trouble(401, 'Bring the token that this house gave you.');
        }

        return match (true) {
            $asked->method === 'GET' && $second === 'products' => new Answer(200, array_map(fn (Place $place): array => $place->row, $house['places'])),
            $asked->method === 'POST' && $second === 'files' => $this->bring($asked, $first, $house['places']),
            $asked->method === 'GET' && $second === 'files' && ctype_digit($third) => $this->told($first, (int) $third),
            default => Answer::trouble(404, 'Nothing is answered here.'),
        };
    }

    /** @param  list<Place>  $places */
    private function bring(Asked $asked, string $house, array $places): ?Answer
    {
        if ($asked->key === '' || strlen($asked->key) > 100) {
            return Answer::trouble(400, 'An Idempotency-Key of up to 100 letters is wanted, so that nothing is printed twice.');
        }
        $mood = $this->ledger->mood($this->moody);
        if ($mood === Moods::Down) {
            return Answer::trouble(503, 'The machines are being cleaned. Come again later.', ['Retry-After' => '2']);
        }
        if ($mood === Moods::Busy) {
            return Answer::trouble(429, 'Too many at once.', ['Retry-After' => '1']);
        }
        if ($mood === Moods::Slow) {
            sleep(2);
        }
        $wanted = mb_strtolower(($asked->query['product'] ?? '').'/'.($asked->query['place'] ?? ''));
        $place = array_values(array_filter($places, fn (Place $one): bool => mb_strtolower("$one->product/$one->place") === $wanted))[0] ?? null;
        if ($place === null) {
            return Answer::trouble(422, 'This house has no such product and place.');
        }
        if (filesize($asked->body) > self::MOST_BYTES) {
            return Answer::trouble(413, 'The file is larger than 200 MB.');
        }
        $before = $this->ledger->byKey($house, $asked->key);
        if ($before !== null) {
            return $before['sha256'] === hash_file('sha256', $asked->body) ? $this->brought($before['id'], (string) $before['answer'], true) : Answer::trouble(409, 'Another file came under this key.');
        }
        try {
            $file = Measured::of($asked->body);
        } catch (Unreadable $unreadable) {
            return Answer::trouble(422, $unreadable->getMessage());
        }
        $reasons = $place->refuses($file);
        $answer = ['accepted' => $reasons === [], 'reasons' => $reasons, 'measured' => $file->at($place)];
        $id = $this->ledger->note($house, $asked->key, $file->sha256, $answer, $reasons === []);

        return $mood === Moods::Broken ? null : $this->brought($id, (string) json_encode($answer), false);
    }

    private function brought(int $id, string $answer, bool $again): Answer
    {
        return new Answer(201, ['id' => (string) $id] + (array) json_decode($answer, true), $again ? ['Idempotent-Replayed' => 'true'] : []);
    }

    private function told(string $house, int $id): Answer
    {
        $file = $this->ledger->file($house, $id, $this->seconds);
        if ($file === null) {
            return Answer::trouble(404, 'No such file was brought.');
        }
        $state = match (true) {
            $file['printed'] !== null => 'printed',
            (bool) $file['accepted'] => 'accepted',
            default => 'refused',
        };

        return new Answer(200, ['id' => (string) $id, 'state' => $state, 'printedAt' => $file['printed'] === null ? null : gmdate('Y-m-d\TH:i:s\Z', (int) $file['printed'])] + (array) json_decode($file['answer'], true));
    }

    /** For tests: how the house is for the next files, and what it prints. */
    private function control(Asked $asked, string $what): Answer
    {
        if ($asked->method === 'PUT' && $what === 'moods') {
            $moods = json_decode((string) file_get_contents($asked->body), true);
            $this->ledger->setMoods(array_map(Moods::from(...), array_values(array_filter(is_array($moods) ? $moods : [], is_string(...)))));
        }

        return new Answer(200, $this->ledger->prints());
    }
}
