<?php

declare(strict_types=1);

namespace App\Providers;

use App\Actions\Audit\PreviousValues;
use App\Actions\Comparisons\PartQueue;
use App\Actions\Plans\RoadmapKeywordsQuery;
use App\Http\Middleware\TokenAbilities;
use App\Jobs\QueuedParts;
use App\Models\User;
use App\Support\Sentence\RoadmapKeywords;
use App\Support\Sources\RankingSource;
use App\Support\Sources\Sources;
use App\Support\Sources\StandInSource;
use App\Support\Tabular\ReadLimits;
use App\Support\Tabular\TableReader;
use GreaterReach\Core\Site\PublicSuffixList;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Container\Container;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Laravel\Sanctum\PersonalAccessToken;
use Symfony\Component\HttpFoundation\Response;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(
            PublicSuffixList::class,
            static fn(): PublicSuffixList => PublicSuffixList::fromText(
                (string) file_get_contents(config()->string('reach.public_suffix_list')),
            ),
        );
        $this->app->singleton(
            Sources::class,
            static function (Container $container): Sources {
                /** @var array<string, array{class: class-string<RankingSource>, url: ?string, key: ?string}> $connected */
                $connected = config()->array('sources.connected');

                return new Sources($container, $connected);
            },
        );
        $this->app->scoped(PreviousValues::class);
        $this->app->bind(PartQueue::class, QueuedParts::class);
        $this->app->bind(RoadmapKeywords::class, RoadmapKeywordsQuery::class);
        $this->app->when(StandInSource::class)->needs('$patience')->giveConfig('sources.patience');
        $this->app->when(StandInSource::class)->needs('$longestAnswer')->giveConfig('sources.longest_answer');
        $this->app->bind(
            TableReader::class,
            static fn(): TableReader => new TableReader(
                new ReadLimits(config()->integer('reach.max_record'), config()->integer('reach.max_unpacked')),
            ),
        );
    }

    public function boot(): void
    {
        Model::shouldBeStrict();
        JsonResource::withoutWrapping();
        foreach (['updating', 'deleting'] as $happens) {
            Event::listen("eloquent.{$happens}: *", function (string $event, array $about): void {
                $models = array_filter($about, static fn(mixed $model): bool => $model instanceof Model);
                array_walk($models, $this->app->make(PreviousValues::class)->see(...));
            });
        }
        $this->limitSignIns();
    }

    /** A token counts for itself, so that a script that runs wild does not stop its person. */
    private static function askedBy(Request $request): string
    {
        $user = $request->user();
        $token = $user instanceof User && TokenAbilities::isByToken() ? $user->currentAccessToken() : null;

        return $token instanceof PersonalAccessToken
            ? 'token '.$token->id
            : 'person '.($user instanceof User ? $user->id : '');
    }

    /**
     * Failed sign-ins count per name and address together, so that no one can lock a named person out from elsewhere. The longer
     * someone guesses, the longer the wait: the minute's limit is followed by one for the hour and one for the day.
     */
    private function limitSignIns(): void
    {
        RateLimiter::for('shared-brief', static fn(Request $request): Limit => Limit::perMinute(60)->by('brief:'.$request->ip()));
        RateLimiter::for('welcome', static fn(Request $request): Limit => Limit::perMinute(60)->by('welcome:'.$request->ip()));
        RateLimiter::for('requests', static fn(Request $request): Limit => Limit::perMinute(config()->integer('reach.requests_a_minute'))
            ->by('requests:'.self::askedBy($request)));
        RateLimiter::for('sign-in', static function (Request $request): array {
            $attempts = config()->integer('reach.sign_in_attempts');
            $email = $request->user()->email ?? $request->input('email');
            $who = (is_string($email) ? mb_strtolower(trim($email)) : '').' '.$request->ip();
            $limits = [
                Limit::perMinute($attempts)->by('minute:'.$who),
                Limit::perHour($attempts * 4)->by('hour:'.$who),
                Limit::perDay($attempts * 12)->by('day:'.$who),
                Limit::perMinute($attempts * 4)->by('address:'.$request->ip()),
            ];

            return array_map(
                static fn(Limit $limit): Limit => $limit->after(static fn(Response $response): bool => $response->getStatusCode() >= 400),
                $limits,
            );
        });
    }
}
