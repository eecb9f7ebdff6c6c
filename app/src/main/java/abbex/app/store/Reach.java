package abbex.app.store;

import java.net.InetAddress;
import java.net.UnknownHostException;
import org.apache.catalina.connector.Connector;
import org.apache.coyote.http11.Http11NioProtocol;
import org.apache.tomcat.util.net.SSLHostConfig;
import org.apache.tomcat.util.net.SSLHostConfigCertificate;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Configuration;

/**
 * The shop's tablets come in by HTTPS at an address of the local network, beside the plain door on loopback. Certificate and
 * key are PEM files; the start command has seen that they belong together.
 */
@Configuration
@ConditionalOnProperty("abbex.https.address")
class Reach implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    private final InetAddress address;
    private final int port;
    private final String certificate;
    private final String key;

    Reach(
            @Value("${abbex.https.address}") String address,
            @Value("${abbex.https.port}") int port,
            @Value("${abbex.https.certificate}") String certificate,
            @Value("${abbex.https.key}") String key)
            throws UnknownHostException {
        this.address = InetAddress.getByName(address);
        this.port = port;
        this.certificate = certificate;
        this.key = key;
    }

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        Connector connector = new Connector(Http11NioProtocol.class.getName());
        connector.setScheme("https");
        connector.setSecure(true);
        connector.setPort(port);
        connector.setProperty("SSLEnabled", "true");
        connector.setProperty("address", address.getHostAddress());
        SSLHostConfig tls = new SSLHostConfig();
        tls.setProtocols("TLSv1.2,TLSv1.3");
        // As Mozilla's "intermediate" list of 2024 has them (from memory): forward secrecy and authenticated ciphers
        // only.
        tls.setCiphers("TLS_AES_128_GCM_SHA256:TLS_AES_256_GCM_SHA384:TLS_CHACHA20_POLY1305_SHA256"
                + ":TLS_ECDHE_ECDSA_WITH_AES_128_GCM_SHA256:TLS_ECDHE_RSA_WITH_AES_128_GCM_SHA256"
                + ":TLS_ECDHE_ECDSA_WITH_AES_256_GCM_SHA384:TLS_ECDHE_RSA_WITH_AES_256_GCM_SHA384"
                + ":TLS_ECDHE_ECDSA_WITH_CHACHA20_POLY1305_SHA256:TLS_ECDHE_RSA_WITH_CHACHA20_POLY1305_SHA256");
        SSLHostConfigCertificate pair = new SSLHostConfigCertificate(tls, SSLHostConfigCertificate.Type.UNDEFINED);
        pair.setCertificateFile(certificate);
        pair.setCertificateKeyFile(key);
        tls.addCertificate(pair);
        connector.addSslHostConfig(tls);
        factory.addAdditionalConnectors(connector);
    }
}
