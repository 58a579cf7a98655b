<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        // Without ties to jobs and exports: the log outlives them.
        Schema::create('log_entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shop_id')->constrained()->cascadeOnDelete();
            $table->string('title', 200);
            $table->unsignedBigInteger('job_id')->nullable();
            $table->unsignedBigInteger('revision_id')->nullable();
            $table->string('file', 200);
            $table->string('sha256', 64);
            $table->string('house', 120)->default('');
            $table->string('place', 130)->default('');
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            $table->float('ppi');
            $table->unsignedBigInteger('bytes');
            $table->json('checks');
            $table->json('rulings')->nullable();
            $table->string('why', 500)->default('');
            $table->string('who', 120)->default('');
            $table->timestamp('at');
            $table->index(['shop_id', 'sha256']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('log_entries');
    }
};
