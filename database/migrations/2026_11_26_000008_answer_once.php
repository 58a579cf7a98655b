<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('answered_saves', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('print_job_id')->constrained()->cascadeOnDelete();
            $table->string('key', 64);
            $table->timestamp('created_at')->nullable()->index();
            $table->unique(['print_job_id', 'key']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('answered_saves');
    }
};
