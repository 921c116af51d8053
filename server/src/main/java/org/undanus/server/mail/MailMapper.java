package org.undanus.server.mail;

import java.time.Instant;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.undanus.server.store.Digest;

/** Addresses, and letters on their way to them. */
@Mapper
interface MailMapper {

    /** @param kinds parted by commas */
    record ChoiceRow(String name, String address, String kinds, int version) {

        static ChoiceRow of(String name, MailChoice choice) {
            String kinds =
                    new TreeSet<>(choice.kinds()).stream().map(Enum::name).collect(Collectors.joining(","));
            return new ChoiceRow(name, choice.address(), kinds, choice.version());
        }

        MailChoice choice() {
            Set<LetterKind> wanted = Arrays.stream(kinds.split(","))
                    .filter(kind -> !kind.isEmpty())
                    .map(LetterKind::valueOf)
                    .collect(Collectors.toSet());
            return new MailChoice(address, wanted, version);
        }

        /** As the journal keeps it: of the address its digest, for the journal forgets nothing. */
        ChoiceRow state() {
            return new ChoiceRow(name, address.isEmpty() ? "" : Digest.sha256(address), kinds, version);
        }
    }

    String CHOICE = "SELECT name, address, kinds, version FROM mail_choice ";

    @Select(CHOICE + "ORDER BY name")
    List<ChoiceRow> choices();

    @Select(CHOICE + "WHERE name = #{name}")
    ChoiceRow choice(String name);

    @Insert("INSERT INTO mail_choice (name, address, kinds, version)"
            + " VALUES (#{name}, #{address}, #{kinds}, #{version})")
    void insertChoice(ChoiceRow row);

    /** @return 0 where it is no longer the version before this one */
    @Update("UPDATE mail_choice SET address = #{address}, kinds = #{kinds}, version = #{version}"
            + " WHERE name = #{name} AND version = #{version} - 1")
    int updateChoice(ChoiceRow row);

    String DELIVERY = "SELECT id, message_id, name, state, tries, since, due_at, said FROM delivery ";

    @Select(DELIVERY + "ORDER BY id")
    List<Delivery> deliveries();

    @Select("<script>" + DELIVERY + "WHERE message_id IN"
            + " <foreach collection='messages' item='id' open='(' separator=',' close=')'>#{id}</foreach>"
            + " ORDER BY name</script>")
    List<Delivery> deliveriesOf(Collection<String> messages);

    @Select(DELIVERY + "WHERE due_at <= #{now} ORDER BY due_at FETCH FIRST #{most} ROWS ONLY")
    List<Delivery> due(Instant now, int most);

    @Insert("INSERT INTO delivery (id, message_id, name, state, tries, since, due_at, said)"
            + " VALUES (#{id}, #{messageId}, #{name}, #{state}, #{tries}, #{since}, #{dueAt}, #{said})")
    void insertDelivery(Delivery delivery);

    /** @return 0 where it has ended meanwhile */
    @Update("UPDATE delivery SET state = #{state}, tries = #{tries}, due_at = #{dueAt}, said = #{said}"
            + " WHERE id = #{id} AND state = 'WAITING'")
    int updateDelivery(Delivery delivery);
}
