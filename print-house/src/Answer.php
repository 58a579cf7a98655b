<?php

declare(strict_types=1);

namespace PrintHouse;

/** What is answered: JSON with a status. */
final readonly class Answer
{
    /**
     * @param  array<array-key, mixed>  $body
     * @param  array<string, string>  $headers
     */
    public function __construct(
        public int $status,
        public array $body,
        public array $headers = [],
    ) {}

    /** @param  array<string, string>  $headers */
    public static function trouble(int $status, string $says, array $headers = []): self
    {
        return new self($status, ['message' => $says], $headers);
    }

    public function send(): void
    {
        http_response_code($this->status);
        foreach (['Content-Type' => 'application/json'] + $this->headers as $name => $value) {
            header("$name: $value");
        }
        echo json_encode($this->body, JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }
}
