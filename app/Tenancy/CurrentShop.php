<?php

declare(strict_types=1);

namespace App\Tenancy;

use App\Models\Shop;

/**
 * Whose rows may be read. A request sees nothing until somebody is signed in, and then that shop's rows alone; commands
 * and workers, which serve all shops, see everything.
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

    /** The one shop whose rows are read; null when there is none. */
    public function shop(): ?Shop
    {
        return $this->shop;
    }
}
