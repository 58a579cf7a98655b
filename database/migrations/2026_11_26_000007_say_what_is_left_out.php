<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('assets', function (Blueprint $table): void {
            $table->json('left_out')->default('[]');
        });
    }

    public function down(): void
    {
        Schema::dropColumns('assets', ['left_out']);
    }
};
