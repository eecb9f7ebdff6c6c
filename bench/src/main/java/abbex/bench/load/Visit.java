package abbex.bench.load;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Somebody signed in, with a browser's cookies and its token. */
final class Visit {
    private static final Pattern TOKEN = Pattern.compile("name=\"csrf\" content=\"([^\"]+)\"");
    private static final Pattern FORM_TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");

    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .version(HttpClient.Version.HTTP_1_1)
            .connectTimeout(Duration.ofSeconds(3))
            .build();
    private final String address;
    private String token = "";

    Visit(String address) {
        this.address = address;
    }

    static Visit signedIn(String address, String name, String password) throws IOException, InterruptedException {
        Visit visit = new Visit(address);
        visit.get("/sign-in");
        HttpResponse<String> in = visit.post("/sign-in", "username", name, "password", password);
        if (in.headers().firstValue("Location").orElse("error").contains("error")) {
            throw new IOException(name + " could not sign in");
        }
        visit.get("/account");
        return visit;
    }

    HttpResponse<String> get(String path) throws IOException, InterruptedException {
        HttpResponse<String> answer = client.send(
                HttpRequest.newBuilder(URI.create(address + path))
                        .timeout(Duration.ofSeconds(15))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        keepToken(answer.body());
        return answer;
    }

    HttpResponse<String> post(String path, String... fields) throws IOException, InterruptedException {
        StringBuilder body = new StringBuilder("_csrf=" + URLEncoder.encode(token, StandardCharsets.UTF_8));
        for (int i = 0; i < fields.length; i += 2) {
            body.append('&')
                    .append(fields[i])
                    .append('=')
                    .append(URLEncoder.encode(fields[i + 1], StandardCharsets.UTF_8));
        }
        HttpResponse<String> answer = client.send(
                HttpRequest.newBuilder(URI.create(address + path))
                        .timeout(Duration.ofSeconds(15))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString(body.toString()))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        keepToken(answer.body());
        return answer;
    }

    private void keepToken(String page) {
        for (Pattern pattern : new Pattern[] {TOKEN, FORM_TOKEN}) {
            Matcher found = pattern.matcher(page);
            if (found.find()) {
                token = found.group(1);
                return;
            }
        }
    }

    /** Where a redirect leads, as a path. */
    static String location(HttpResponse<String> answer) {
        return answer.headers().firstValue("Location").orElse("").replaceFirst("^http://[^/]+", "");
    }
}
