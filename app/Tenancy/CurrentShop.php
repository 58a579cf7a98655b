<?php

declare(strict_types=1);

namespace App\Tenancy;

use App\Models\Shop;

/**
 * The shop whose rows may be read. A request has access to no rows until somebody is signed in, then only to that shop's; commands
 * and workers, which serve all shops, have access to all.
 */
final class CurrentShop
{
    private ?Shop $shop = null;

    private function __construct(private bool $open) {}

    public static function ofConsole(): self
    {
        return new self(true);
    }

    public static function ofRequest(): self
    {
        return new self(false);
    }

    public function close(): void
    {
        $this->open = false;
        $this->shop = null;
    }

    public function open(): void
    {
        $this->open = true;
        $this->shop = null;
    }

    public function enter(Shop $shop): void
    {
        $this->open = false;
        $this->shop = $shop;
    }

    public function isOpen(): bool
    {
        return $this->open;
    }

    /** The current shop; null if there is none. */
    public function shop(): ?Shop
    {
        return $this->shop;
    }
}
