<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('exports', function (Blueprint $table): void {
            $table->timestamp('beat_at')->nullable();
            $table->index(['state', 'shop_id']);
        });
    }

    public function down(): void
    {
        Schema::table('exports', function (Blueprint $table): void {
            $table->dropIndex(['state', 'shop_id']);
            $table->dropColumn('beat_at');
        });
    }
};
