package abbex.app.support;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Somebody with a browser's cookies but no screen. */
public final class Visitor {
    private static final Pattern TOKEN = Pattern.compile(
            "name=\"_csrf\" (?:type=\"hidden\" )?value=\"([^\"]+)\"|name=\"csrf\" content=\"([^\"]+)\"");

    static {
        // A connection is given up before the server does: what is sent at that moment would be answered by nothing.
        System.setProperty("jdk.httpclient.keepalive.timeout", "5");
    }

    private final CookieManager cookies = new CookieManager();
    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private String address = Shop.address();
    private String token = "";

    public static Visitor stranger() {
        return new Visitor();
    }

    public static Visitor signedIn(String name) {
        return signedIn(name, Shop.address(), Shop.password());
    }

    public static Visitor signedIn(String name, String address, String password) {
        Visitor visitor = new Visitor().at(address);
        visitor.get("/sign-in");
        HttpResponse<String> answer = visitor.post("/sign-in", "username", name, "password", password);
        if (answer.statusCode() != 302
                || answer.headers().firstValue("Location").orElse("/sign-in").contains("/sign-in")) {
            throw new IllegalStateException(name + " could not sign in");
        }
        visitor.get("/account");
        return visitor;
    }

    /** The same cookies at another address. */
    public Visitor at(String other) {
        address = other;
        return this;
    }

    /** The token of the page that was seen last. */
    public String token() {
        return token;
    }

    /** With a cookie that somebody made up. */
    public Visitor with(String name, String value) {
        HttpCookie cookie = new HttpCookie(name, value);
        cookie.setPath("/");
        cookie.setVersion(0);
        cookies.getCookieStore().add(URI.create(address), cookie);
        return this;
    }

    /** As if another page had sent it. */
    public Visitor withToken(String other) {
        token = other;
        return this;
    }

    public HttpResponse<String> get(String path) {
        return send(HttpRequest.newBuilder(URI.create(address + path)).header("Accept", "text/html,*/*;q=0.8"));
    }

    public HttpResponse<byte[]> bytes(String path) {
        try {
            return client.send(
                    HttpRequest.newBuilder(URI.create(address + path)).build(),
                    HttpResponse.BodyHandlers.ofByteArray());
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    public HttpResponse<String> post(String path, String... form) {
        return send(posting(path, form));
    }

    /** As htmx asks for a part of a page. */
    public HttpResponse<String> fragment(String path) {
        return send(HttpRequest.newBuilder(URI.create(address + path)).header("HX-Request", "true"));
    }

    public HttpResponse<String> htmx(String path, String... form) {
        return send(posting(path, form).header("HX-Request", "true"));
    }

    private HttpRequest.Builder posting(String path, String... form) {
        StringBuilder body = new StringBuilder("_csrf=" + encode(token));
        for (int i = 0; i < form.length; i += 2) {
            body.append('&').append(encode(form[i])).append('=').append(encode(form[i + 1]));
        }
        return HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(body.toString()));
    }

    private HttpResponse<String> send(HttpRequest.Builder request) {
        try {
            HttpResponse<String> answer = client.send(request.build(), HttpResponse.BodyHandlers.ofString());
            Matcher m = TOKEN.matcher(answer.body());
            if (m.find()) {
                token = m.group(1) == null ? m.group(2) : m.group(1);
            }
            return answer;
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
