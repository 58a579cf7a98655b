<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('houses', function (Blueprint $table): void {
            $table->string('service', 40)->default('');
            $table->string('account', 100)->default('');
            $table->text('token')->nullable();
        });
        Schema::create('parcels', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shop_id')->constrained()->cascadeOnDelete();
            // Each file is brought once.
            $table->foreignId('export_id')->unique()->constrained()->cascadeOnDelete();
            $table->foreignId('house_id')->nullable()->constrained()->nullOnDelete();
            $table->string('key', 36)->unique();
            $table->string('state', 20)->index();
            $table->unsignedInteger('tries')->default(0);
            $table->string('number', 100)->default('');
            $table->json('reasons')->nullable();
            $table->json('measured')->nullable();
            $table->string('trouble', 500)->default('');
            $table->timestamp('due_at')->nullable();
            $table->timestamps();
        });
        // What came after a file: answers of houses, listings, prices, what was taken down.
        Schema::table('log_entries', function (Blueprint $table): void {
            $table->string('event', 20)->default('file');
            $table->json('details')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('log_entries', fn (Blueprint $table) => $table->dropColumn(['event', 'details']));
        Schema::dropIfExists('parcels');
        Schema::table('houses', fn (Blueprint $table) => $table->dropColumn(['service', 'account', 'token']));
    }
};
