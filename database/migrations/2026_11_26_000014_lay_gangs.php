<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('gangs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shop_id')->constrained()->cascadeOnDelete();
            $table->string('state', 20)->default('queued');
            $table->string('stage', 200)->default('');
            $table->unsignedInteger('progress')->default(0);
            $table->json('asked');
            $table->json('made')->nullable();
            $table->string('trouble', 500)->default('');
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('gangs');
    }
};
