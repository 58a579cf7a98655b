<?php

declare(strict_types=1);

namespace App\Sending\Houses;

use GuzzleHttp\Psr7\LazyOpenStream;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\PendingRequest;
use Illuminate\Http\Client\Response;
use Illuminate\Support\Facades\Http;
use TallCrow\House\FileFigures;

/** A house with the HTTP interface of print-house/openapi.json. */
final readonly class HttpHouse implements PrintHouse
{
    private const CONNECT_SECONDS = 5;

    private const SECONDS = 120;

    public function __construct(
        private string $address,
        /** The house's account at the service. */
        private string $account,
        private string $token,
    ) {}

    public function bring(Package $package): HouseAnswer
    {
        is_readable($package->path) || throw new HouseDeclined('The file is not there any more. Make it again.');
        // Streamed while sending, whatever its size.
        $file = new LazyOpenStream($package->path, 'rb');
        $where = $this->url('files').'?'.http_build_query(['product' => $package->product, 'place' => $package->place]);

        return $this->read($this->asking(fn (PendingRequest $http): Response => $http->withHeaders(['Idempotency-Key' => $package->key])->withBody($file, $package->kind->mime())->post($where)));
    }

    public function ask(string $number): HouseAnswer
    {
        return $this->read($this->asking(fn (PendingRequest $http): Response => $http->get($this->url('files/'.rawurlencode($number)))));
    }

    /** @param  callable(PendingRequest): Response  $call */
    private function asking(callable $call): Response
    {
        // Redirects could lead to an address that was not configured.
        $http = Http::connectTimeout(self::CONNECT_SECONDS)->timeout(self::SECONDS)->withoutRedirecting()->acceptJson();
        try {
            $answer = $call($this->token === '' ? $http : $http->withToken($this->token));
        } catch (ConnectionException) {
            throw new HouseAway('The house cannot be reached.');
        }
        $says = $answer->json('message');
        $says = is_string($says) ? mb_substr(strip_tags($says), 0, 300) : '';

        return match (true) {
            $answer->successful() => $answer,
            $answer->status() === 401, $answer->status() === 403 => throw new HouseDeclined(trim("The house asks for a token, or does not know this one. Enter it under Houses, then begin again. $says")),
            $answer->status() === 408, $answer->status() === 429, $answer->serverError() => throw new HouseAway(trim("The house cannot take it now. $says"), self::after($answer)),
            default => throw new HouseDeclined(trim("The house does not take it. $says")),
        };
    }

    private function read(Response $answer): HouseAnswer
    {
        $data = $answer->json();
        if (! is_array($data) || ! is_string($data['id'] ?? null) || ! is_bool($data['accepted'] ?? null) || ! is_array($data['measured'] ?? null)) {
            throw new HouseAway('The answer of the house broke off.');
        }
        $reasons = array_map(fn (string $reason): string => mb_substr($reason, 0, 300), array_values(array_filter(is_array($data['reasons'] ?? null) ? $data['reasons'] : [], is_string(...))));
        $verdict = match (true) {
            ($data['state'] ?? '') === 'printed' => HouseVerdict::Printed,
            $data['accepted'] => HouseVerdict::Accepted,
            default => HouseVerdict::Refused,
        };

        return new HouseAnswer(mb_substr($data['id'], 0, 100), $verdict, array_slice($reasons, 0, 20), FileFigures::read($data['measured']));
    }

    private function url(string $what): string
    {
        return rtrim($this->address, '/').'/'.rawurlencode($this->account).'/'.$what;
    }

    private static function after(Response $answer): ?int
    {
        $after = $answer->header('Retry-After');

        return ctype_digit($after) ? min(3600, (int) $after) : null;
    }
}
