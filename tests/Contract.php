<?php

declare(strict_types=1);

namespace Tests;

use App\Actions\Vocabulary\WriteContract;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Assert;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * The API's document (OpenAPI 3.1) against what the API does: every answer that any test gets is checked against the schema that the
 * document has for it (JSON Schema, draft 2020-12), and every request that was granted against the parameters and the body it describes.
 */
final class Contract
{
    /** What was answered in this run, one `GET /path 200` a line; read by `contract-seen.php` when the whole run is over. */
    public const SEEN = __DIR__.'/../storage/framework/testing/contract-seen.txt';
    private const PREFIX = '/api/v1';
    private const ID = 'contract:/openapi.json';

    private static ?self $shared = null;

    private readonly \stdClass $document;
    private readonly Validator $validator;

    private function __construct()
    {
        /** @var \stdClass $document */
        $document = json_decode((string) file_get_contents(__DIR__.'/../'.WriteContract::DOCUMENT), false, 512, JSON_THROW_ON_ERROR);
        $this->document = $document;
        $this->validator = new Validator(max_errors: 3);
        $this->validator->resolver()?->registerRaw($document, self::ID);
    }

    public static function shared(): self
    {
        return self::$shared ??= new self();
    }

    /** @return list<string> every operation with its success, as `GET /path 200` */
    public function promised(): array
    {
        $promised = [];
        foreach ((array) $this->document->paths as $path => $operations) {
            foreach (array_diff_key((array) $operations, ['parameters' => 1]) as $method => $operation) {
                foreach (preg_grep('/^2/', array_map(strval(...), array_keys((array) $operation->responses))) ?: [] as $status) {
                    $promised[] = strtoupper($method)." {$path} {$status}";
                }
            }
        }

        return $promised;
    }

    /** @param TestResponse<\Symfony\Component\HttpFoundation\Response> $response */
    public function check(string $method, string $uri, string $body, TestResponse $response): void
    {
        $path = (string) parse_url($uri, PHP_URL_PATH);
        if (! str_starts_with($path, self::PREFIX)) {
            return;
        }
        $template = $this->templateOf(substr($path, \strlen(self::PREFIX)));
        $operation = $template === null ? null : ($this->document->paths->{$template}->{strtolower($method)} ?? null);
        if ($template === null || $operation === null) {
            Assert::assertGreaterThanOrEqual(400, $response->getStatusCode(), "{$method} {$path} is answered and not described.");
            $this->checkBody('/components/responses/Problem', $response, "{$method} {$path}");

            return;
        }
        $at = '/paths/'.self::escape($template).'/'.strtolower($method);
        $this->checkAnswer($at, $operation, $method, $template, $response);
        if ($response->isSuccessful()) {
            $this->checkRequest($at, $operation, $template, $uri, $body);
        }
    }

    /** @param TestResponse<\Symfony\Component\HttpFoundation\Response> $response */
    private function checkAnswer(string $at, \stdClass $operation, string $method, string $template, TestResponse $response): void
    {
        $status = (string) $response->getStatusCode();
        $key = isset($operation->responses->{$status}) ? $status : ($status[0] === '4' ? '4XX' : 'default');
        Assert::assertTrue(
            $key === $status || !$response->isSuccessful(),
            "{$method} {$template} answers {$status}, which is not described.",
        );
        file_put_contents(self::SEEN, strtoupper($method)." {$template} {$status}\n", FILE_APPEND | LOCK_EX);
        $where = isset($operation->responses->{$key}->{'$ref'})
            ? ltrim((string) $operation->responses->{$key}->{'$ref'}, '#')
            : "{$at}/responses/{$key}";
        $this->checkBody($where, $response, "{$method} {$template}");
    }

    /** @param TestResponse<\Symfony\Component\HttpFoundation\Response> $response */
    private function checkBody(string $where, TestResponse $response, string $what): void
    {
        $type = trim(explode(';', (string) $response->headers->get('Content-Type'))[0]);
        $described = $this->at($where)->content ?? new \stdClass();
        Assert::assertTrue(isset($described->{$type}), "{$what} answers {$response->getStatusCode()} as {$type}, which is not described.");
        if (str_ends_with($type, 'json')) {
            $text = $response->baseResponse instanceof StreamedResponse ? $response->streamedContent() : (string) $response->getContent();
            $this->checkValue(json_decode($text, false, 512, JSON_THROW_ON_ERROR), $where.'/content/'.self::escape($type).'/schema', $what);
        }
    }

    private function checkRequest(string $at, \stdClass $operation, string $template, string $uri, string $body): void
    {
        parse_str((string) parse_url($uri, PHP_URL_QUERY), $asked);
        $described = array_column([...($this->document->paths->{$template}->parameters ?? []), ...($operation->parameters ?? [])], 'name');
        Assert::assertSame([], array_diff(array_keys($asked), $described), "{$uri} is granted with parameters that are not described.");
        $described = $operation->requestBody->content->{'application/json'} ?? null;
        if ($described !== null && $body !== '' && $body !== '[]') {
            // A text that is empty counts as null.
            $this->checkValue(
                json_decode(str_replace(':""', ':null', $body), false, 512, JSON_THROW_ON_ERROR),
                $at.'/requestBody/content/application~1json/schema',
                "The request to {$uri}",
            );
        }
    }

    private function checkValue(mixed $value, string $where, string $what): void
    {
        $result = $this->validator->validate($value, self::ID.'#'.str_replace('%2F', '/', rawurlencode($where)));
        $error = $result->error();
        $said =
            $error === null
                ? ''
                : json_encode((new ErrorFormatter())->format($error), JSON_UNESCAPED_SLASHES | JSON_PARTIAL_OUTPUT_ON_ERROR);
        Assert::assertTrue($error === null, "{$what} is not as described: {$said}");
    }

    private function at(string $pointer): \stdClass
    {
        $found = $this->document;
        foreach (\array_slice(explode('/', $pointer), 1) as $part) {
            $found = $found->{str_replace(['~1', '~0'], ['/', '~'], $part)};
        }

        return $found;
    }

    /** The path of the document that a path of a request is one of; whole words before names in braces. */
    private function templateOf(string $path): ?string
    {
        $paths = array_map(strval(...), array_keys((array) $this->document->paths));
        usort(
            $paths,
            static fn(string $one, string $other): int => [substr_count($one, '{'), \strlen($other)] <=> [
                substr_count($other, '{'),
                \strlen($one),
            ],
        );
        foreach ($paths as $template) {
            $pattern = preg_replace('/\\\\\{\w+\\\\\}/', '[^/]+', preg_quote($template, '~'));
            if (preg_match("~^{$pattern}\$~D", $path) === 1) {
                return $template;
            }
        }

        return null;
    }

    private static function escape(string $part): string
    {
        return str_replace(['~', '/'], ['~0', '~1'], $part);
    }
}
