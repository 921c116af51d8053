package org.undanus.server.words;

import com.github.javaparser.ParserConfiguration;
import com.github.javaparser.StaticJavaParser;
import com.github.javaparser.ast.CompilationUnit;
import com.github.javaparser.ast.Node;
import com.github.javaparser.ast.body.ClassOrInterfaceDeclaration;
import com.github.javaparser.ast.expr.AnnotationExpr;
import com.github.javaparser.ast.expr.BinaryExpr;
import com.github.javaparser.ast.expr.ConditionalExpr;
import com.github.javaparser.ast.expr.EnclosedExpr;
import com.github.javaparser.ast.expr.Expression;
import com.github.javaparser.ast.expr.MethodCallExpr;
import com.github.javaparser.ast.expr.ObjectCreationExpr;
import com.github.javaparser.ast.expr.StringLiteralExpr;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.fedorahosted.tennera.jgettext.Catalog;
import org.fedorahosted.tennera.jgettext.Message;
import org.fedorahosted.tennera.jgettext.PoWriter;
import org.undanus.core.audit.Auditor;
import org.undanus.core.audit.JobsAuditor;
import org.undanus.core.calculator.Calculators;
import org.undanus.core.evidence.Option;
import org.undanus.core.evidence.Point;
import org.undanus.core.installation.Refrigerants;
import org.undanus.core.judgement.About;
import org.undanus.core.plan.StationPlan;
import org.undanus.core.rules.LimitKey;
import org.undanus.core.rules.SchoolTopic;
import org.undanus.core.rules.Setting;
import org.undanus.core.station.Walk;

/**
 * Everything the application says, by what it says in English: the templates and phrases that stand in the sources, and those
 * that the requirements, lines and settings are registered with.
 */
final class Sentences {
    private static final Path ROOT = Path.of("..");
    private static final List<String> SAYING =
            List.of("core/src/main/java", "view/src/main/java", "server/src/main/java");
    private static final Pattern ID =
            Pattern.compile("[a-zA-Z0-9]*([.\\-_/:#][a-zA-Z0-9]*)+|[a-z]+[A-Z]\\w*|\\W*\\w?\\W*");
    /** A figure with its unit, as examples of what is typed are. */
    private static final Pattern FIGURE = Pattern.compile("[-+\\d.,/'\" ]+[^ ]*( [a-z.]+)?");

    /** A sentence of the pages, with that of any other number where it counts. */
    private static final Pattern OF_A_PAGE =
            Pattern.compile("\\$(n?)gettext\\(\\s*" + quoted(2) + "(?:,\\s*" + quoted(4) + ")?");

    /** A sentence of the report's templates, likewise. */
    private static final Pattern OF_THE_REPORT =
            Pattern.compile("say\\.of\\('((?:''|[^'])*)'|say\\.counted\\([^']*'((?:''|[^'])*)',\\s*'((?:''|[^'])*)'");

    private static final Pattern NAME = Pattern.compile("\\{(\\w*)\\}");
    private static final Pattern LOWER_WORD = Pattern.compile("[a-z]+");
    /** What puts phrases into a sentence. */
    private static final Pattern PUTTING = Pattern.compile("of|counted|plain|say|step|conclude|orElse|lowered|capital");

    private static final Pattern WITHOUT =
            Pattern.compile(".*/(simulated|demo)/.*|.*/(FieldUnit|TubeRunNotation)\\.java");
    private static final Pattern NO_WORDS = Pattern.compile(
            "\\\\[sdwWSb.]|\\(\\?|SELECT |WHERE |INSERT |ORDER BY|#\\{|^<|^%|^\\s*\\W*$|stroke-|urn:|data:|%[.,0-9]*[dfs]|--+");

    /** By the English, or the English of one: that of any other number, empty where nothing is counted. */
    private final Map<String, String> all = new TreeMap<>();

    private final List<String> mismatched = new ArrayList<>();

    private final Set<String> ofPages = new HashSet<>();

    /** Read once; whoever needs them holds the same. */
    private static final class Read {
        private static final Sentences ALL = new Sentences();
    }

    static Sentences all() {
        return Read.ALL;
    }

    private Sentences() {
        StaticJavaParser.setConfiguration(new ParserConfiguration()
                .setLanguageLevel(ParserConfiguration.LanguageLevel.JAVA_17)
                .setAttributeComments(false));
        SAYING.forEach(folder -> files(folder, ".java").forEach(file -> {
            CompilationUnit source = StaticJavaParser.parse(read(file));
            given(file, source);
            if (!WITHOUT.matcher(file.toString()).matches()) {
                source(source);
            }
        }));
        registered();
        enumerated();
        Stream.of(".vue", ".ts")
                .flatMap(ending -> files("web/src", ending))
                .filter(file -> !file.toString().endsWith(".test.ts"))
                .forEach(this::page);
        files("server/src/main/resources/report", ".html").forEach(this::template);
    }

    private void template(Path file) {
        OF_THE_REPORT.matcher(read(file)).results().forEach(said -> {
            if (said.group(1) == null) {
                all.put(said.group(2).replace("''", "'"), said.group(3).replace("''", "'"));
            } else {
                all.putIfAbsent(said.group(1).replace("''", "'"), "");
            }
        });
    }

    private static String quoted(int group) {
        return "([\"'`])((?:\\\\.|(?!\\" + group + ")[^\\\\])*)\\" + group;
    }

    private void page(Path file) {
        Matcher said = OF_A_PAGE.matcher(read(file));
        while (said.find()) {
            String one = unquoted(said.group(3));
            all.merge(
                    one,
                    said.group(1).isEmpty() ? "" : unquoted(said.group(5)),
                    (known, many) -> many.isEmpty() ? known : many);
            ofPages.add(one);
        }
    }

    private static String unquoted(String written) {
        return written.replace("&quot;", "\"").replaceAll("\\\\(.)", "$1");
    }

    private static Stream<Path> files(String folder, String ending) {
        try (Stream<Path> all = Files.walk(ROOT.resolve(folder))) {
            return all.filter(file -> file.toString().endsWith(ending)).sorted().toList().stream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void source(CompilationUnit source) {
        if (source.findFirst(ClassOrInterfaceDeclaration.class)
                .filter(type -> type.isAnnotationPresent("Mapper"))
                .isPresent()) {
            return;
        }
        source.findAll(StringLiteralExpr.class).stream()
                .filter(literal -> !annotated(literal))
                .filter(literal -> !(whole(literal).getParentNode().orElse(null) instanceof MethodCallExpr call)
                        || !call.getNameAsString().matches("compile|matches|replaceAll|split|getProperty|setProperty"))
                .forEach(literal -> {
                    Node whole = whole(literal);
                    if (whole == literal || first(whole) == literal) {
                        constant(whole)
                                .filter(said -> !LOWER_WORD.matcher(said).matches() || put(whole))
                                .ifPresent(this::add);
                    }
                });
        source.findAll(MethodCallExpr.class).stream()
                .filter(call -> call.getNameAsString().equals("counted")
                        && call.getArguments().size() > 2)
                .forEach(call -> constant(call.getArgument(1))
                        .ifPresent(one -> constant(call.getArgument(2)).ifPresent(many -> {
                            all.remove(many);
                            all.put(one, many);
                        })));
    }

    /** Whether a word stands where a sentence takes it up. */
    private static boolean put(Node node) {
        Node parent = node.getParentNode().orElse(null);
        return parent instanceof MethodCallExpr call
                ? PUTTING.matcher(call.getNameAsString()).matches()
                : (parent instanceof ConditionalExpr || parent instanceof EnclosedExpr) && put(parent);
    }

    private static boolean annotated(Node node) {
        return node.getParentNode()
                .filter(parent -> parent instanceof AnnotationExpr || annotated(parent))
                .isPresent();
    }

    /** Templates whose names are not as many as the arguments they are given, with the file they stand in. */
    List<String> mismatched() {
        return mismatched;
    }

    private void given(Path file, CompilationUnit source) {
        source.findAll(MethodCallExpr.class).stream()
                .filter(call -> call.getScope()
                        .filter(scope -> scope.toString().equals("Text"))
                        .isPresent())
                .forEach(call -> {
                    if (call.getNameAsString().equals("of")) {
                        mismatched(file, call.getArguments(), 0);
                    } else if (call.getNameAsString().equals("counted")) {
                        mismatched(file, call.getArguments(), 2);
                    }
                });
        source.findAll(ObjectCreationExpr.class).stream()
                .filter(made -> made.getType().getNameAsString().matches("RefusedException|Unsuitable|Unreadable"))
                .filter(made -> !made.getArguments().isEmpty())
                .forEach(made -> mismatched(file, made.getArguments(), 0));
    }

    /** @param at where among the arguments the template stands; what it names comes after it */
    private void mismatched(Path file, List<Expression> arguments, int at) {
        for (String template : alternatives(arguments.get(at))) {
            long names = NAME.matcher(template)
                    .results()
                    .map(MatchResult::group)
                    .distinct()
                    .count();
            if (names != arguments.size() - at - 1) {
                mismatched.add(file.getFileName() + ": " + template);
            }
        }
    }

    /** What a template may be, where it is written out. */
    private static List<String> alternatives(Node said) {
        if (said instanceof EnclosedExpr within) {
            return alternatives(within.getInner());
        }
        if (said instanceof ConditionalExpr either) {
            return Stream.of(either.getThenExpr(), either.getElseExpr())
                    .flatMap(one -> alternatives(one).stream())
                    .toList();
        }
        return constant(said).map(List::of).orElse(List.of());
    }

    /** The concatenation that a literal is part of, or itself. */
    private static Node whole(Node literal) {
        Node whole = literal;
        while (whole.getParentNode().filter(BinaryExpr.class::isInstance).isPresent()) {
            whole = whole.getParentNode().get();
        }
        return whole;
    }

    private static Node first(Node whole) {
        return whole instanceof BinaryExpr both ? first(both.getLeft()) : whole;
    }

    /** What a concatenation of literals says; empty where something else is in it. */
    private static Optional<String> constant(Node said) {
        if (said instanceof StringLiteralExpr literal) {
            return Optional.of(literal.asString());
        }
        return said instanceof BinaryExpr both && both.getOperator() == BinaryExpr.Operator.PLUS
                ? constant(both.getLeft())
                        .flatMap(left -> constant(both.getRight()).map(right -> left + right))
                : Optional.empty();
    }

    private void registered() {
        for (About about : Walk.judge().abouts()) {
            add(about.title());
            Stream.of(about.cautions(), about.sources()).flatMap(List::stream).forEach(this::add);
            about.needs().forEach(this::line);
        }
        for (StationPlan plan : Walk.plans()) {
            plan.points().forEach(this::line);
            plan.precedents().forEach(before -> add(before.consequence()));
        }
        Walk.vocabulary().limits().values().stream().map(LimitKey::title).forEach(this::add);
        Walk.vocabulary().settings().values().stream().map(Setting::title).forEach(this::add);
        for (SchoolTopic topic : Walk.vocabulary().topics().values()) {
            add(topic.title());
            topic.schools().forEach(school -> add(school.title()));
        }
        Stream.concat(Auditor.abouts().stream(), JobsAuditor.abouts().stream()).forEach(check -> {
            Stream.of(check.title(), check.tests(), check.shows(), check.cannot(), check.asks())
                    .forEach(this::add);
            Stream.of(check.innocent(), check.sources()).flatMap(List::stream).forEach(this::add);
        });
        Calculators.of(Refrigerants.SHIPPED).all().forEach(computation -> {
            add(computation.title());
            add(computation.source());
            computation.inputs().forEach(input -> add(input.title()));
        });
    }

    private void line(Point point) {
        Stream.of(point.title(), point.how(), point.caution()).forEach(this::add);
        point.options().stream().map(Option::words).forEach(this::add);
    }

    /** What the enumerations are called by. */
    private void enumerated() {
        for (JavaClass type : new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests())
                .importPackages("org.undanus")) {
            if (type.isEnum()) {
                for (Object constant : type.reflect().getEnumConstants()) {
                    Arrays.stream(type.reflect().getDeclaredMethods())
                            .filter(method -> method.getReturnType() == String.class
                                    && method.getParameterCount() == 0
                                    && Modifier.isPublic(method.getModifiers()))
                            .forEach(method -> add(said(constant, method)));
                }
            }
        }
    }

    private static String said(Object constant, Method method) {
        try {
            method.setAccessible(true);
            return (String) method.invoke(constant);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    private void add(String said) {
        String words = said.replaceAll("\\{\\w+\\}", "");
        boolean none =
                ID.matcher(said).matches() || NO_WORDS.matcher(said).find() || !words.matches("(?s).*[A-Za-z]{2}.*");
        if (!none) {
            all.putIfAbsent(said, "");
        }
    }

    /** As a file for translators: every template, nothing said of it yet. */
    String template() {
        return written(said -> "");
    }

    /**
     * As a language file.
     *
     * @param translated what is said of each
     */
    String language(UnaryOperator<String> translated) {
        return written(translated);
    }

    private String written(UnaryOperator<String> translated) {
        Catalog catalog = new Catalog(true);
        all.forEach((one, many) -> {
            Message message = new Message();
            message.setMsgid(one);
            if (ofPages.contains(one)) {
                message.addSourceReference(Languages.PAGES);
            }
            if (many.isEmpty()) {
                message.setMsgstr(translated.apply(one));
            } else {
                message.setMsgidPlural(many);
                message.addMsgstrPlural(translated.apply(one), 0);
                message.addMsgstrPlural(translated.apply(many), 1);
            }
            catalog.addMessage(message);
        });
        try {
            StringWriter to = new StringWriter();
            PoWriter writer = new PoWriter();
            writer.setGenerateHeader(false);
            writer.write(catalog, to);
            return to.toString();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
