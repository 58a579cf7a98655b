<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shop_id')->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->string('login')->unique();
            $table->string('password')->nullable();
            $table->string('role');
            $table->text('totp_secret')->nullable();
            $table->unsignedBigInteger('totp_step')->default(0);
            $table->boolean('totp_on')->default(false);
            $table->unsignedInteger('session_era')->default(0);
            $table->timestamps();
        });
        Schema::create('passes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('kind');
            $table->string('hash', 64)->unique();
            $table->string('role')->nullable();
            $table->timestamp('expires_at');
            $table->timestamps();
        });
        Schema::create('personal_access_tokens', function (Blueprint $table): void {
            $table->id();
            $table->morphs('tokenable');
            $table->string('name');
            $table->string('token', 64)->unique();
            $table->text('abilities')->nullable();
            $table->timestamp('last_used_at')->nullable();
            $table->timestamp('expires_at')->nullable()->index();
            $table->timestamps();
        });
        Schema::create('journal', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('shop_id')->nullable()->index();
            $table->string('log_name')->nullable();
            $table->text('description');
            $table->nullableMorphs('subject', 'subject');
            $table->string('event')->nullable();
            $table->nullableMorphs('causer', 'causer');
            $table->json('properties')->nullable();
            $table->uuid('batch_uuid')->nullable();
            $table->timestamps();
        });
        Schema::create('comments', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('shop_id')->constrained()->cascadeOnDelete();
            $table->foreignId('print_job_id')->constrained()->cascadeOnDelete();
            $table->foreignId('revision_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('verdict');
            $table->text('text');
            $table->timestamps();
            $table->index(['print_job_id', 'id']);
        });
        foreach (['revisions', 'exports'] as $name) {
            Schema::table($name, function (Blueprint $table): void {
                $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            });
        }
        Schema::table('print_jobs', function (Blueprint $table): void {
            $table->index(['shop_id', 'updated_at']);
        });
        foreach (self::guards() as $guard) {
            DB::unprepared($guard);
        }
    }

    public function down(): void
    {
        Schema::table('print_jobs', function (Blueprint $table): void {
            $table->dropIndex(['shop_id', 'updated_at']);
        });
        foreach (['revisions', 'exports'] as $name) {
            Schema::table($name, function (Blueprint $table): void {
                $table->dropConstrainedForeignId('user_id');
            });
        }
        foreach (['comments', 'journal', 'personal_access_tokens', 'passes', 'users'] as $name) {
            Schema::dropIfExists($name);
        }
        if (DB::getDriverName() === 'pgsql') {
            DB::unprepared('DROP FUNCTION IF EXISTS journal_is_append_only');
        }
    }

    /**
     * The database itself refuses to change or take out what stands in the journal.
     *
     * @return list<string>
     */
    private static function guards(): array
    {
        return DB::getDriverName() === 'pgsql' ? [
            "CREATE OR REPLACE FUNCTION journal_is_append_only() RETURNS trigger AS $$ BEGIN RAISE EXCEPTION 'the journal is only added to'; END; $$ LANGUAGE plpgsql",
            'CREATE TRIGGER journal_guard BEFORE UPDATE OR DELETE ON journal FOR EACH ROW EXECUTE FUNCTION journal_is_append_only()',
        ] : [
            "CREATE TRIGGER journal_no_update BEFORE UPDATE ON journal BEGIN SELECT RAISE(ABORT, 'the journal is only added to'); END",
            "CREATE TRIGGER journal_no_delete BEFORE DELETE ON journal BEGIN SELECT RAISE(ABORT, 'the journal is only added to'); END",
        ];
    }
};
