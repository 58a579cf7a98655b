<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('assets', function (Blueprint $table): void {
            $table->string('pack')->default('');
            $table->string('cut')->default('');
            $table->json('features')->default('[]');
            $table->boolean('favourite')->default(false);
        });
    }

    public function down(): void
    {
        Schema::dropColumns('assets', ['pack', 'cut', 'features', 'favourite']);
    }
};
