<?php

declare(strict_types=1);

namespace PrintHouse;

/** One request. */
final readonly class Asked
{
    /**
     * @param  list<string>  $path
     * @param  array<string, string>  $query
     */
    public function __construct(
        public string $method,
        public array $path,
        public array $query,
        public string $key,
        public string $token,
        /** The file that holds the body. */
        public string $body,
    ) {}

    public static function now(): self
    {
        $word = fn (string $name): string => is_string($_SERVER[$name] ?? null) ? $_SERVER[$name] : '';
        $body = (string) tempnam(sys_get_temp_dir(), 'print-house');
        register_shutdown_function(fn (): bool => @unlink($body));
        copy('php://input', $body);

        return new self(
            $word('REQUEST_METHOD'), array_values(array_filter(explode('/', (string) parse_url($word('REQUEST_URI'), PHP_URL_PATH)), fn (string $part): bool => $part !== '')),
            array_map(fn (mixed $value): string => is_string($value) ? $value : '', $_GET), $word('HTTP_IDEMPOTENCY_KEY'), (string) preg_replace('/^Bearer /', '', $word('HTTP_AUTHORIZATION')), $body,
        );
    }
}
