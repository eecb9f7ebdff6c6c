package abbex.app.page;

import abbex.app.words.Bundles;
import java.io.IOException;
import java.io.Reader;
import java.io.StringReader;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.boot.thymeleaf.autoconfigure.ThymeleafProperties;
import org.springframework.context.ApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.util.HtmlUtils;
import org.thymeleaf.IEngineConfiguration;
import org.thymeleaf.spring6.templateresolver.SpringResourceTemplateResolver;
import org.thymeleaf.templatemode.TemplateMode;
import org.thymeleaf.templateresource.ITemplateResource;

/**
 * Templates, with the words that take no argument put in once, when a template is read: there is one language, and looking
 * them up and weighing each line's indent at every page took a tenth of its time.
 */
@Configuration
class TemplateSettings {
    private static final Pattern TEXT = Pattern.compile("\\[\\[#\\{([\\w.-]+)}]]");
    private static final Pattern ATTRIBUTE =
            Pattern.compile("\\bth:(aria-label|title|placeholder)=\"#\\{([\\w.-]+)}\"");
    private static final Pattern INDENT = Pattern.compile("\\s*\\n\\s*");

    @Bean
    SpringResourceTemplateResolver defaultTemplateResolver(
            ApplicationContext files, ThymeleafProperties settings, Bundles words) {
        SpringResourceTemplateResolver resolver = new SpringResourceTemplateResolver() {
            @Override
            protected ITemplateResource computeTemplateResource(
                    IEngineConfiguration configuration,
                    String owner,
                    String template,
                    String file,
                    String encoding,
                    Map<String, Object> attributes) {
                return new Worded(
                        super.computeTemplateResource(configuration, owner, template, file, encoding, attributes),
                        words);
            }
        };
        resolver.setApplicationContext(files);
        resolver.setPrefix(settings.getPrefix());
        resolver.setSuffix(settings.getSuffix());
        resolver.setTemplateMode(TemplateMode.HTML);
        resolver.setCharacterEncoding(settings.getEncoding().name());
        resolver.setCacheable(settings.isCache());
        return resolver;
    }

    /** A template as it stands in its file, with its words. */
    private record Worded(ITemplateResource file, Bundles words) implements ITemplateResource {
        @Override
        public String getDescription() {
            return file.getDescription();
        }

        @Override
        public String getBaseName() {
            return file.getBaseName();
        }

        @Override
        public boolean exists() {
            return file.exists();
        }

        @Override
        public Reader reader() throws IOException {
            try (Reader in = file.reader()) {
                StringBuilder text = new StringBuilder();
                char[] part = new char[8192];
                for (int n = in.read(part); n >= 0; n = in.read(part)) {
                    text.append(part, 0, n);
                }
                return new StringReader(worded(text));
            }
        }

        private String worded(CharSequence text) {
            String flat = INDENT.matcher(text).replaceAll("\n");
            String said = TEXT.matcher(flat).replaceAll(m -> quoted(m.group(1)));
            return ATTRIBUTE.matcher(said).replaceAll(m -> m.group(1) + "=\"" + quoted(m.group(2)) + "\"");
        }

        private String quoted(String key) {
            return Matcher.quoteReplacement(HtmlUtils.htmlEscape(words.pattern(key), "UTF-8"));
        }

        @Override
        public ITemplateResource relative(String location) {
            return new Worded(file.relative(location), words);
        }
    }
}
