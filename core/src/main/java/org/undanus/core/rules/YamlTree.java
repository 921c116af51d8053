package org.undanus.core.rules;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.snakeyaml.engine.v2.api.LoadSettings;
import org.snakeyaml.engine.v2.api.lowlevel.Compose;
import org.snakeyaml.engine.v2.api.lowlevel.Parse;
import org.snakeyaml.engine.v2.events.CollectionEndEvent;
import org.snakeyaml.engine.v2.events.CollectionStartEvent;
import org.snakeyaml.engine.v2.events.Event;
import org.snakeyaml.engine.v2.exceptions.MarkedYamlEngineException;
import org.snakeyaml.engine.v2.exceptions.YamlEngineException;
import org.snakeyaml.engine.v2.nodes.MappingNode;
import org.snakeyaml.engine.v2.nodes.Node;
import org.snakeyaml.engine.v2.nodes.NodeTuple;
import org.snakeyaml.engine.v2.nodes.ScalarNode;
import org.snakeyaml.engine.v2.nodes.SequenceNode;
import org.undanus.core.words.RefusedException;
import org.undanus.core.words.Text;

/** A YAML document whose every value knows its line and key. Problems are gathered, not thrown one by one. */
final class YamlTree {
    static final int LONGEST_DOCUMENT = 512 * 1024;
    private static final int DEEPEST = 16;

    private final Node node;
    private final String key;
    private final List<RuleBookException.Problem> problems;

    private YamlTree(Node node, String key, List<RuleBookException.Problem> problems) {
        this.node = node;
        this.key = key;
        this.problems = problems;
    }

    /** @throws RuleBookException when the text is not YAML at all */
    static YamlTree parse(String yaml, List<RuleBookException.Problem> problems) {
        LoadSettings settings = LoadSettings.builder()
                .setLabel("rule book")
                .setCodePointLimit(LONGEST_DOCUMENT)
                .setMaxAliasesForCollections(0)
                .setAllowDuplicateKeys(false)
                .build();
        try {
            requireShallow(yaml, settings);
            Node root =
                    new Compose(settings).composeString(yaml).orElseThrow(() -> single(1, "The rule book is empty."));
            return new YamlTree(root, "", problems);
        } catch (MarkedYamlEngineException e) {
            int line = e.getProblemMark().map(mark -> mark.getLine() + 1).orElse(1);
            throw single(line, "This is not well-formed YAML: {problem}", e.getProblem());
        } catch (YamlEngineException e) {
            throw single(1, "This cannot be read as YAML: {message}", RefusedException.said(e));
        }
    }

    /** Before anything recursive reads it: a book is a handful of levels deep. */
    private static void requireShallow(String yaml, LoadSettings settings) {
        int depth = 0;
        for (Event event : new Parse(settings).parseString(yaml)) {
            if (event instanceof CollectionStartEvent) {
                depth++;
            } else if (event instanceof CollectionEndEvent) {
                depth--;
            }
            if (depth > DEEPEST) {
                throw single(
                        event.getStartMark().map(mark -> mark.getLine() + 1).orElse(1),
                        "A rule book is at most {deepest} levels deep.",
                        DEEPEST);
            }
        }
    }

    private static RuleBookException single(int line, String template, Object... arguments) {
        return new RuleBookException(List.of(new RuleBookException.Problem(line, "", Text.of(template, arguments))));
    }

    void problem(String template, Object... arguments) {
        problem(Text.of(template, arguments));
    }

    void problem(Text message) {
        int line = node.getStartMark().map(mark -> mark.getLine() + 1).orElse(1);
        problems.add(new RuleBookException.Problem(line, key, message));
    }

    /** The entries of a mapping; a problem and nothing where this is not one. */
    Map<String, YamlTree> entries() {
        Map<String, YamlTree> entries = new LinkedHashMap<>();
        if (!(node instanceof MappingNode mapping)) {
            problem("A mapping (key: value lines) is expected here.");
            return entries;
        }
        for (NodeTuple tuple : mapping.getValue()) {
            String name = tuple.getKeyNode() instanceof ScalarNode scalar ? scalar.getValue() : "?";
            String path = key.isEmpty() ? name : key + "." + name;
            YamlTree value = new YamlTree(tuple.getValueNode(), path, problems);
            if (entries.put(name, value) != null) {
                value.problem("This key stands here twice.");
            }
        }
        return entries;
    }

    /** As {@link #entries()}, naming as a problem every key that is not one of those known. */
    Map<String, YamlTree> entries(Set<String> known) {
        Map<String, YamlTree> entries = entries();
        entries.forEach((name, value) -> {
            if (!known.contains(name)) {
                value.problem(
                        "Unknown key \"{name}\". Known here: {known}.",
                        name,
                        Text.list(known.stream().sorted().toList()));
            }
        });
        return entries;
    }

    List<YamlTree> items() {
        List<YamlTree> items = new ArrayList<>();
        if (!(node instanceof SequenceNode sequence)) {
            problem("A list is expected here.");
            return items;
        }
        for (Node item : sequence.getValue()) {
            items.add(new YamlTree(item, key + "[" + items.size() + "]", problems));
        }
        return items;
    }

    Optional<String> text() {
        if (node instanceof ScalarNode scalar && !scalar.getValue().isBlank()) {
            return Optional.of(scalar.getValue().strip());
        }
        problem("A single value is expected here.");
        return Optional.empty();
    }
}
