/*M!999999\- enable the sandbox mode */ 
/*!40014 SET @OLD_UNIQUE_CHECKS=@@UNIQUE_CHECKS, UNIQUE_CHECKS=0 */;
/*!40014 SET @OLD_FOREIGN_KEY_CHECKS=@@FOREIGN_KEY_CHECKS, FOREIGN_KEY_CHECKS=0 */;
/*!40101 SET @OLD_SQL_MODE=@@SQL_MODE, SQL_MODE='NO_AUTO_VALUE_ON_ZERO' */;
/*!40111 SET @OLD_SQL_NOTES=@@SQL_NOTES, SQL_NOTES=0 */;
DROP TABLE IF EXISTS `components`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `components` (
  `id` varchar(36) NOT NULL,
  `job_id` varchar(36) NOT NULL,
  `kind` varchar(20) NOT NULL,
  `name` varchar(80) NOT NULL,
  `note` text NOT NULL,
  `order` int(10) unsigned NOT NULL,
  `version` int(10) unsigned NOT NULL,
  `part` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`part`)),
  `metal` varchar(20) DEFAULT NULL,
  `flow` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`flow`)),
  PRIMARY KEY (`id`),
  KEY `components_job_id_foreign` (`job_id`),
  CONSTRAINT `components_job_id_foreign` FOREIGN KEY (`job_id`) REFERENCES `jobs` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `components` WRITE;
/*!40000 ALTER TABLE `components` DISABLE KEYS */;
INSERT INTO `components` VALUES ('c1','j1','block','Block','',0,1,NULL,NULL,NULL);
INSERT INTO `components` VALUES ('c2','j1','turbo','Turbo','',1,1,NULL,NULL,NULL);
/*!40000 ALTER TABLE `components` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `cuts_made`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `cuts_made` (
  `id` varchar(100) NOT NULL,
  `version` int(10) unsigned NOT NULL,
  `data` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`data`)),
  `job_id` varchar(80) NOT NULL,
  `length_id` varchar(80) NOT NULL,
  `at` datetime(3) NOT NULL,
  PRIMARY KEY (`id`),
  KEY `cuts_made_job_id_index` (`job_id`),
  KEY `cuts_made_length_id_index` (`length_id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `cuts_made` WRITE;
/*!40000 ALTER TABLE `cuts_made` DISABLE KEYS */;
INSERT INTO `cuts_made` VALUES ('k1',1,'{\"id\":\"k1\",\"version\":1}','j1','H-0001','2026-11-20 08:00:00.000');
/*!40000 ALTER TABLE `cuts_made` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `drill_answers`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `drill_answers` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `apprentice` varchar(60) NOT NULL,
  `fitting` varchar(20) NOT NULL,
  `truth` varchar(40) NOT NULL,
  `answer` varchar(40) NOT NULL,
  `right` tinyint(1) NOT NULL,
  `at` datetime(3) NOT NULL,
  PRIMARY KEY (`id`),
  KEY `drill_answers_apprentice_id_index` (`apprentice`,`id`)
) ENGINE=InnoDB AUTO_INCREMENT=2 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `drill_answers` WRITE;
/*!40000 ALTER TABLE `drill_answers` DISABLE KEYS */;
INSERT INTO `drill_answers` VALUES (1,'Ana','12','npt 1/8','bspt 1/8',0,'2026-11-20 08:00:00.000');
/*!40000 ALTER TABLE `drill_answers` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `event_rows`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `event_rows` (
  `event_id` bigint(20) unsigned NOT NULL,
  `n` int(10) unsigned NOT NULL,
  `type` varchar(20) NOT NULL,
  `row_id` varchar(100) NOT NULL,
  `before_row` longtext DEFAULT NULL,
  `after_row` longtext DEFAULT NULL,
  PRIMARY KEY (`event_id`,`n`),
  CONSTRAINT `event_rows_event_id_foreign` FOREIGN KEY (`event_id`) REFERENCES `events` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `event_rows` WRITE;
/*!40000 ALTER TABLE `event_rows` DISABLE KEYS */;
INSERT INTO `event_rows` VALUES (1,0,'line','l1','{\"id\":\"l1\",\"jobId\":\"j1\",\"number\":1,\"name\":\"Old name\",\"service\":\"other\",\"construction\":\"ptfe\",\"dash\":6,\"endA\":{\"portId\":\"p1\",\"angleDeg\":0,\"fittings\":null},\"endB\":{\"portId\":\"p2\",\"angleDeg\":45,\"fittings\":[{\"id\":\"orb6m+an6m\",\"inEnd\":0,\"outEnd\":1}]},\"tapedLengthMm\":664,\"slackPercent\":2,\"checked\":true,\"note\":\"\",\"position\":1,\"version\":1}','{\"id\":\"l1\",\"jobId\":\"j1\",\"number\":1,\"name\":\"Feed\",\"service\":\"other\",\"construction\":\"ptfe\",\"dash\":6,\"endA\":{\"portId\":\"p1\",\"angleDeg\":0,\"fittings\":null},\"endB\":{\"portId\":\"p2\",\"angleDeg\":45,\"fittings\":[{\"id\":\"orb6m+an6m\",\"inEnd\":0,\"outEnd\":1}]},\"tapedLengthMm\":664,\"slackPercent\":2,\"checked\":true,\"note\":\"\",\"position\":1,\"version\":2}');
INSERT INTO `event_rows` VALUES (2,0,'part','old-part',NULL,'{\"id\":\"old-part\",\"fitting\":{\"id\":\"old-part\",\"name\":\"Old part\",\"ends\":[]},\"version\":1,\"origin\":\"own\"}');
/*!40000 ALTER TABLE `event_rows` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `events`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `events` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `job_id` varchar(36) DEFAULT NULL,
  `at` datetime(3) NOT NULL,
  `kind` enum('edit','undo','redo','record') NOT NULL,
  `state` enum('done','undone','dropped') NOT NULL DEFAULT 'done',
  `label` varchar(200) NOT NULL,
  `client` varchar(40) NOT NULL,
  `scope` varchar(36) NOT NULL,
  `change_key` varchar(36) DEFAULT NULL,
  `schema_version` int(10) unsigned NOT NULL DEFAULT 1,
  `revision` bigint(20) NOT NULL,
  `digest` varchar(43) DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `events_scope_revision` (`scope`,`revision`),
  UNIQUE KEY `events_scope_key` (`scope`,`change_key`),
  KEY `events_job_id_id_index` (`job_id`,`id`),
  KEY `events_scope_id` (`scope`,`id`),
  KEY `events_scope_state` (`scope`,`state`,`client`),
  CONSTRAINT `events_job_id_foreign` FOREIGN KEY (`job_id`) REFERENCES `jobs` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB AUTO_INCREMENT=3 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `events` WRITE;
/*!40000 ALTER TABLE `events` DISABLE KEYS */;
INSERT INTO `events` VALUES (1,'j1','2026-11-20 08:00:00.000','edit','done','Edit L1 Feed','tab','j1',NULL,1,1,NULL);
INSERT INTO `events` VALUES (2,NULL,'2026-11-20 08:00:00.000','edit','done','Add Old part','tab','shop',NULL,1,2,NULL);
/*!40000 ALTER TABLE `events` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `fault_answers`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `fault_answers` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `apprentice` varchar(60) NOT NULL,
  `truth` varchar(60) NOT NULL,
  `answer` varchar(60) NOT NULL,
  `right` tinyint(1) NOT NULL,
  `at` datetime(3) NOT NULL,
  PRIMARY KEY (`id`),
  KEY `fault_answers_apprentice_id_index` (`apprentice`,`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `fault_answers` WRITE;
/*!40000 ALTER TABLE `fault_answers` DISABLE KEYS */;
/*!40000 ALTER TABLE `fault_answers` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `hose_lengths`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `hose_lengths` (
  `id` varchar(100) NOT NULL,
  `version` int(10) unsigned NOT NULL,
  `data` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`data`)),
  `part_id` varchar(80) NOT NULL,
  `mm` double NOT NULL,
  `state` varchar(12) NOT NULL,
  `kind` varchar(12) NOT NULL,
  PRIMARY KEY (`id`),
  KEY `hose_lengths_part_id_foreign` (`part_id`),
  KEY `hose_lengths_state_part_id_index` (`state`,`part_id`),
  CONSTRAINT `hose_lengths_part_id_foreign` FOREIGN KEY (`part_id`) REFERENCES `parts` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `hose_lengths` WRITE;
/*!40000 ALTER TABLE `hose_lengths` DISABLE KEYS */;
INSERT INTO `hose_lengths` VALUES ('H-0001',1,'{\"id\":\"H-0001\",\"part\":\"hose-ptfe-6\",\"kind\":\"reel\",\"mm\":12000,\"since\":\"2026-12-01\",\"state\":\"there\",\"version\":1}','hose-ptfe-6',12000,'there','reel');
/*!40000 ALTER TABLE `hose_lengths` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `hose_plans`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `hose_plans` (
  `job_id` varchar(36) NOT NULL,
  `at` datetime(3) NOT NULL,
  `lengths` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`lengths`)),
  PRIMARY KEY (`job_id`),
  CONSTRAINT `hose_plans_job_id_foreign` FOREIGN KEY (`job_id`) REFERENCES `jobs` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `hose_plans` WRITE;
/*!40000 ALTER TABLE `hose_plans` DISABLE KEYS */;
INSERT INTO `hose_plans` VALUES ('j1','2026-11-20 08:00:00.000','[]');
/*!40000 ALTER TABLE `hose_plans` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `job_lines`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `job_lines` (
  `id` varchar(36) NOT NULL,
  `job_id` varchar(36) NOT NULL,
  `number` int(10) unsigned NOT NULL,
  `name` varchar(80) NOT NULL,
  `service` varchar(20) NOT NULL,
  `port_a` varchar(36) NOT NULL,
  `port_b` varchar(36) NOT NULL,
  `note` text NOT NULL,
  `order` int(10) unsigned NOT NULL,
  `version` int(10) unsigned NOT NULL,
  `made` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`made`)),
  `pieces` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`pieces`)),
  `ways` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`ways`)),
  `checked` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL,
  `fluid` varchar(30) DEFAULT NULL,
  `provisional` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`provisional`)),
  `found` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`found`)),
  `flow` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`flow`)),
  PRIMARY KEY (`id`),
  UNIQUE KEY `job_lines_port_a_unique` (`port_a`),
  UNIQUE KEY `job_lines_port_b_unique` (`port_b`),
  UNIQUE KEY `job_lines_job_id_number_unique` (`job_id`,`number`),
  CONSTRAINT `job_lines_job_id_foreign` FOREIGN KEY (`job_id`) REFERENCES `jobs` (`id`) ON DELETE CASCADE,
  CONSTRAINT `job_lines_port_a_foreign` FOREIGN KEY (`port_a`) REFERENCES `ports` (`id`),
  CONSTRAINT `job_lines_port_b_foreign` FOREIGN KEY (`port_b`) REFERENCES `ports` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `job_lines` WRITE;
/*!40000 ALTER TABLE `job_lines` DISABLE KEYS */;
INSERT INTO `job_lines` VALUES ('l1','j1',1,'Feed','other','p1','p2','',1,2,NULL,'[{\"key\":\"p1\",\"hose\":\"hose-ptfe-6\",\"endA\":\"end-ptfe-6-0\",\"endB\":\"end-ptfe-6-45\",\"length\":{\"mm\":664,\"as\":\"taped\"},\"slackPercent\":2,\"source\":\"cut\"}]','[{\"chosen\":null},{\"chosen\":{\"fittings\":[{\"key\":\"k1\",\"id\":\"orb6m+an6m\",\"inEnd\":1,\"outEnd\":0}],\"branches\":[]}}]','{\"at\":null,\"digest\":{}}',NULL,NULL,NULL,NULL);
/*!40000 ALTER TABLE `job_lines` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `job_summaries`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `job_summaries` (
  `job_id` varchar(36) NOT NULL,
  `revision` bigint(20) NOT NULL,
  `shop_revision` bigint(20) NOT NULL,
  `form` int(11) NOT NULL,
  `told` longtext NOT NULL,
  `findables` longtext NOT NULL,
  PRIMARY KEY (`job_id`),
  KEY `job_summaries_form_index` (`form`),
  CONSTRAINT `job_summaries_job_id_foreign` FOREIGN KEY (`job_id`) REFERENCES `jobs` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `job_summaries` WRITE;
/*!40000 ALTER TABLE `job_summaries` DISABLE KEYS */;
INSERT INTO `job_summaries` VALUES ('j1',1,1,1,'{}','[]');
/*!40000 ALTER TABLE `job_summaries` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `job_words`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `job_words` (
  `job_id` varchar(36) NOT NULL,
  `archived` tinyint(1) NOT NULL,
  `number` varbinary(120) NOT NULL,
  `words` mediumblob NOT NULL,
  PRIMARY KEY (`job_id`),
  CONSTRAINT `job_words_job_id_foreign` FOREIGN KEY (`job_id`) REFERENCES `jobs` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `job_words` WRITE;
/*!40000 ALTER TABLE `job_words` DISABLE KEYS */;
INSERT INTO `job_words` VALUES ('j1',0,0x32323031,0x6F6C6420636172);
/*!40000 ALTER TABLE `job_words` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `jobs`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `jobs` (
  `id` varchar(36) NOT NULL,
  `number` varchar(20) NOT NULL,
  `name` varchar(120) NOT NULL,
  `description` text NOT NULL,
  `archived` tinyint(1) NOT NULL DEFAULT 0,
  `version` int(10) unsigned NOT NULL,
  `updated_at` datetime(3) NOT NULL,
  `revision` bigint(20) NOT NULL DEFAULT 0,
  `late` tinyint(1) NOT NULL DEFAULT 1,
  `running` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`running`)),
  `needed_by` varchar(10) DEFAULT NULL,
  `beside` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`beside`)),
  `waivers` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`waivers`)),
  `deviations` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`deviations`)),
  PRIMARY KEY (`id`),
  UNIQUE KEY `jobs_number_unique` (`number`),
  KEY `jobs_late` (`late`),
  KEY `jobs_on_board` (`archived`,`number`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `jobs` WRITE;
/*!40000 ALTER TABLE `jobs` DISABLE KEYS */;
INSERT INTO `jobs` VALUES ('j1','2201','Old car','two\nlines',0,3,'2026-11-20 08:00:00.000',1,1,NULL,NULL,NULL,NULL,NULL);
INSERT INTO `jobs` VALUES ('j2','2202','Put away','two\nlines',1,3,'2026-11-20 08:00:00.000',0,1,NULL,NULL,NULL,NULL,NULL);
/*!40000 ALTER TABLE `jobs` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `knex_migrations`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `knex_migrations` (
  `id` int(10) unsigned NOT NULL AUTO_INCREMENT,
  `name` varchar(255) DEFAULT NULL,
  `batch` int(11) DEFAULT NULL,
  `migration_time` timestamp NULL DEFAULT NULL,
  PRIMARY KEY (`id`)
) ENGINE=InnoDB AUTO_INCREMENT=20 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `knex_migrations` WRITE;
/*!40000 ALTER TABLE `knex_migrations` DISABLE KEYS */;
INSERT INTO `knex_migrations` VALUES (1,'20261125_jobs',1,'2026-12-01 22:34:19');
INSERT INTO `knex_migrations` VALUES (2,'20261126_drill',2,'2026-12-01 22:34:19');
INSERT INTO `knex_migrations` VALUES (3,'20261127_catalogue',3,'2026-12-01 22:34:20');
INSERT INTO `knex_migrations` VALUES (4,'20261128_changes',4,'2026-12-01 22:34:20');
INSERT INTO `knex_migrations` VALUES (5,'20261130_paths',5,'2026-12-01 22:34:21');
INSERT INTO `knex_migrations` VALUES (6,'20261201_parts',6,'2026-12-01 22:34:21');
INSERT INTO `knex_migrations` VALUES (7,'20261202_found',7,'2026-12-01 22:34:22');
INSERT INTO `knex_migrations` VALUES (8,'20261203_bodies',8,'2026-12-01 22:34:22');
INSERT INTO `knex_migrations` VALUES (9,'20261204_revisions',9,'2026-12-01 22:34:23');
INSERT INTO `knex_migrations` VALUES (10,'20261205_plain_names',10,'2026-12-01 22:34:23');
INSERT INTO `knex_migrations` VALUES (11,'20261206_listed_prices',11,'2026-12-01 22:34:23');
INSERT INTO `knex_migrations` VALUES (12,'20261207_component_metal',12,'2026-12-01 22:34:23');
INSERT INTO `knex_migrations` VALUES (13,'20261208_flow',13,'2026-12-01 22:34:23');
INSERT INTO `knex_migrations` VALUES (14,'20261209_stockroom',14,'2026-12-01 22:34:24');
INSERT INTO `knex_migrations` VALUES (15,'20261210_beside',15,'2026-12-01 22:34:25');
INSERT INTO `knex_migrations` VALUES (16,'20261211_order_sendings',16,'2026-12-01 22:34:25');
INSERT INTO `knex_migrations` VALUES (17,'20261212_doors',17,'2026-12-01 22:37:39');
INSERT INTO `knex_migrations` VALUES (18,'20261213_audit',18,'2026-12-02 10:54:50');
INSERT INTO `knex_migrations` VALUES (19,'20261214_faults',19,'2026-12-02 14:53:44');
/*!40000 ALTER TABLE `knex_migrations` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `knex_migrations_lock`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `knex_migrations_lock` (
  `index` int(10) unsigned NOT NULL AUTO_INCREMENT,
  `is_locked` int(11) DEFAULT NULL,
  PRIMARY KEY (`index`)
) ENGINE=InnoDB AUTO_INCREMENT=2 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `knex_migrations_lock` WRITE;
/*!40000 ALTER TABLE `knex_migrations_lock` DISABLE KEYS */;
INSERT INTO `knex_migrations_lock` VALUES (1,0);
/*!40000 ALTER TABLE `knex_migrations_lock` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `marks`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `marks` (
  `name` varchar(40) NOT NULL,
  `at` datetime(3) NOT NULL,
  `revision` bigint(20) NOT NULL DEFAULT 0,
  PRIMARY KEY (`name`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `marks` WRITE;
/*!40000 ALTER TABLE `marks` DISABLE KEYS */;
INSERT INTO `marks` VALUES ('catalogue','2026-12-01 22:34:22.582',2);
INSERT INTO `marks` VALUES ('demo','2026-11-20 08:00:00.000',0);
INSERT INTO `marks` VALUES ('parts','2026-12-01 22:34:22.668',0);
/*!40000 ALTER TABLE `marks` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `offers`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `offers` (
  `id` varchar(36) NOT NULL,
  `part_id` varchar(80) NOT NULL,
  `supplier` varchar(80) DEFAULT NULL,
  `code` varchar(60) DEFAULT NULL,
  `price_minor` int(10) unsigned DEFAULT NULL,
  `lead_days` int(10) unsigned DEFAULT NULL,
  `listed_currency` varchar(3) DEFAULT NULL,
  `listed_minor` bigint(20) DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `offers_part_id_unique` (`part_id`),
  UNIQUE KEY `offers_code_unique` (`code`),
  CONSTRAINT `offers_part_id_foreign` FOREIGN KEY (`part_id`) REFERENCES `parts` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `offers` WRITE;
/*!40000 ALTER TABLE `offers` DISABLE KEYS */;
INSERT INTO `offers` VALUES ('6793ef40-1ff4-493c-9fdb-f4316cabe399','hose-ptfe-6',NULL,NULL,1900,NULL,NULL,NULL);
INSERT INTO `offers` VALUES ('b8636c95-5e19-4087-8d99-6a0093cd57a8','orb6m+an6m','Old supplier','A-1',790,2,NULL,NULL);
INSERT INTO `offers` VALUES ('ca96038a-13a5-48bf-a9e0-331d456ab61d','end-ptfe-6-45',NULL,NULL,1200,NULL,NULL,NULL);
/*!40000 ALTER TABLE `offers` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `order_sendings`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `order_sendings` (
  `order_id` varchar(100) NOT NULL,
  `sent_key` varchar(36) NOT NULL,
  `tries` int(10) unsigned NOT NULL DEFAULT 0,
  `claimed_until` datetime(3) DEFAULT NULL,
  `next_at` datetime(3) DEFAULT NULL,
  PRIMARY KEY (`order_id`),
  KEY `order_sendings_next_at_index` (`next_at`),
  CONSTRAINT `order_sendings_order_id_foreign` FOREIGN KEY (`order_id`) REFERENCES `purchase_orders` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `order_sendings` WRITE;
/*!40000 ALTER TABLE `order_sendings` DISABLE KEYS */;
INSERT INTO `order_sendings` VALUES ('po1','0b4e6a52-1c7d-4f3a-9a80-5d2f6c1e7b90',1,NULL,'2026-11-20 08:00:00.000');
/*!40000 ALTER TABLE `order_sendings` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `part_uses`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `part_uses` (
  `part_id` varchar(80) NOT NULL,
  `row_id` varchar(36) NOT NULL,
  `job_id` varchar(36) NOT NULL,
  PRIMARY KEY (`part_id`,`row_id`),
  KEY `part_uses_row_id_index` (`row_id`),
  KEY `part_uses_job_id_part_id_index` (`job_id`,`part_id`),
  CONSTRAINT `part_uses_job_id_foreign` FOREIGN KEY (`job_id`) REFERENCES `jobs` (`id`) ON DELETE CASCADE,
  CONSTRAINT `part_uses_part_id_foreign` FOREIGN KEY (`part_id`) REFERENCES `parts` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `part_uses` WRITE;
/*!40000 ALTER TABLE `part_uses` DISABLE KEYS */;
INSERT INTO `part_uses` VALUES ('end-ptfe-6-0','l1','j1');
INSERT INTO `part_uses` VALUES ('end-ptfe-6-45','l1','j1');
INSERT INTO `part_uses` VALUES ('hose-ptfe-6','l1','j1');
INSERT INTO `part_uses` VALUES ('orb6m+an6m','l1','j1');
/*!40000 ALTER TABLE `part_uses` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `parts`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `parts` (
  `id` varchar(80) NOT NULL,
  `data` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`data`)),
  `origin` varchar(20) NOT NULL,
  `position` int(10) unsigned NOT NULL,
  `version` int(10) unsigned NOT NULL DEFAULT 1,
  `retired` tinyint(1) NOT NULL DEFAULT 0,
  `kind` varchar(20) NOT NULL DEFAULT 'fitting',
  `changed` bigint(20) NOT NULL DEFAULT 0,
  `family` varchar(20) GENERATED ALWAYS AS (coalesce(json_value(`data`,'$.construction'),json_value(`data`,'$.ends[0].family'))) STORED,
  PRIMARY KEY (`id`),
  KEY `parts_of_kind` (`kind`,`position`),
  KEY `parts_family` (`kind`,`family`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `parts` WRITE;
/*!40000 ALTER TABLE `parts` DISABLE KEYS */;
INSERT INTO `parts` VALUES ('end-ptfe-6-0','{\"id\":\"end-ptfe-6-0\",\"construction\":\"ptfe\",\"dash\":6,\"angleDeg\":0}','own',14,1,0,'hose end',0,'ptfe');
INSERT INTO `parts` VALUES ('end-ptfe-6-45','{\"id\":\"end-ptfe-6-45\",\"construction\":\"ptfe\",\"dash\":6,\"angleDeg\":45}','own',15,1,0,'hose end',0,'ptfe');
INSERT INTO `parts` VALUES ('hose-ptfe-6','{\"id\":\"hose-ptfe-6\",\"construction\":\"ptfe\",\"dash\":6}','own',12,1,0,'hose',0,'ptfe');
INSERT INTO `parts` VALUES ('hose-ptfe-8','{\"id\":\"hose-ptfe-8\",\"construction\":\"ptfe\",\"dash\":8}','own',13,1,0,'hose',0,'ptfe');
INSERT INTO `parts` VALUES ('old-part','{\"id\":\"old-part\",\"name\":\"Old part\",\"ends\":[{\"family\":\"npt\",\"size\":\"1/8\",\"gender\":\"male\"}]}','own',11,1,0,'fitting',0,'npt');
INSERT INTO `parts` VALUES ('orb6m+an6m','{\"id\":\"orb6m+an6m\",\"name\":\"Adapter\",\"ends\":[]}','own',10,1,0,'fitting',0,NULL);
/*!40000 ALTER TABLE `parts` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `ports`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `ports` (
  `id` varchar(36) NOT NULL,
  `job_id` varchar(36) NOT NULL,
  `component_id` varchar(36) NOT NULL,
  `label` varchar(80) NOT NULL,
  `connector` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`connector`)),
  `note` text NOT NULL,
  `order` int(10) unsigned NOT NULL,
  `version` int(10) unsigned NOT NULL,
  `sensor` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`sensor`)),
  `open_end` tinyint(1) NOT NULL DEFAULT 0,
  `part_end` tinyint(4) DEFAULT NULL,
  `closed` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`closed`)),
  PRIMARY KEY (`id`),
  KEY `ports_job_id_foreign` (`job_id`),
  KEY `ports_component_id_foreign` (`component_id`),
  CONSTRAINT `ports_component_id_foreign` FOREIGN KEY (`component_id`) REFERENCES `components` (`id`) ON DELETE CASCADE,
  CONSTRAINT `ports_job_id_foreign` FOREIGN KEY (`job_id`) REFERENCES `jobs` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `ports` WRITE;
/*!40000 ALTER TABLE `ports` DISABLE KEYS */;
INSERT INTO `ports` VALUES ('p1','j1','c1','gallery','{\"family\":\"npt\",\"size\":\"1/8\",\"gender\":\"female\"}','',0,1,NULL,0,NULL,NULL);
INSERT INTO `ports` VALUES ('p2','j1','c2','inlet','{\"family\":\"orb\",\"size\":\"6\",\"gender\":\"female\"}','',1,1,NULL,0,NULL,NULL);
/*!40000 ALTER TABLE `ports` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `purchase_orders`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `purchase_orders` (
  `id` varchar(100) NOT NULL,
  `version` int(10) unsigned NOT NULL,
  `data` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`data`)),
  `number` varchar(40) NOT NULL,
  `supplier_id` varchar(80) NOT NULL,
  `state` varchar(12) NOT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `purchase_orders_number_unique` (`number`),
  KEY `purchase_orders_supplier_id_index` (`supplier_id`),
  KEY `purchase_orders_state_index` (`state`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `purchase_orders` WRITE;
/*!40000 ALTER TABLE `purchase_orders` DISABLE KEYS */;
INSERT INTO `purchase_orders` VALUES ('po1',1,'{\"id\":\"po1\",\"version\":1}','PO-0001','s1','sent');
/*!40000 ALTER TABLE `purchase_orders` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `servers`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `servers` (
  `id` varchar(36) NOT NULL,
  `place` varchar(80) NOT NULL,
  `seen_at` datetime(3) NOT NULL,
  PRIMARY KEY (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `servers` WRITE;
/*!40000 ALTER TABLE `servers` DISABLE KEYS */;
INSERT INTO `servers` VALUES ('a','here','2026-11-20 08:00:00.000');
/*!40000 ALTER TABLE `servers` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `shelves`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `shelves` (
  `id` varchar(100) NOT NULL,
  `version` int(10) unsigned NOT NULL,
  `data` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`data`)),
  `part_id` varchar(80) NOT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `shelves_part_id_unique` (`part_id`),
  CONSTRAINT `shelves_part_id_foreign` FOREIGN KEY (`part_id`) REFERENCES `parts` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `shelves` WRITE;
/*!40000 ALTER TABLE `shelves` DISABLE KEYS */;
INSERT INTO `shelves` VALUES ('shelf-old-part',1,'{\"id\":\"shelf-old-part\",\"version\":1}','old-part');
/*!40000 ALTER TABLE `shelves` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `shop_rules`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `shop_rules` (
  `name` varchar(40) NOT NULL,
  `data` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`data`)),
  `version` int(10) unsigned NOT NULL,
  PRIMARY KEY (`name`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `shop_rules` WRITE;
/*!40000 ALTER TABLE `shop_rules` DISABLE KEYS */;
INSERT INTO `shop_rules` VALUES ('weights','{\"pricePerEuro\":1}',1);
/*!40000 ALTER TABLE `shop_rules` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `stock_movements`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `stock_movements` (
  `id` bigint(20) unsigned NOT NULL AUTO_INCREMENT,
  `part_id` varchar(80) NOT NULL,
  `quantity` int(11) NOT NULL,
  `reason` varchar(20) NOT NULL,
  `at` datetime(3) NOT NULL,
  `job_id` varchar(80) DEFAULT NULL,
  `by` varchar(12) DEFAULT NULL,
  `note` varchar(200) DEFAULT NULL,
  PRIMARY KEY (`id`),
  KEY `stock_movements_part_id_index` (`part_id`),
  CONSTRAINT `stock_movements_part_id_foreign` FOREIGN KEY (`part_id`) REFERENCES `parts` (`id`) ON DELETE CASCADE
) ENGINE=InnoDB AUTO_INCREMENT=3 DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `stock_movements` WRITE;
/*!40000 ALTER TABLE `stock_movements` DISABLE KEYS */;
INSERT INTO `stock_movements` VALUES (2,'orb6m+an6m',4,'count','2026-12-01 22:34:21.794',NULL,NULL,NULL);
/*!40000 ALTER TABLE `stock_movements` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `supplier_offers`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `supplier_offers` (
  `id` varchar(100) NOT NULL,
  `version` int(10) unsigned NOT NULL,
  `data` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`data`)),
  `supplier_id` varchar(80) NOT NULL,
  `code` varchar(60) DEFAULT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `supplier_offers_supplier_id_code_unique` (`supplier_id`,`code`),
  CONSTRAINT `supplier_offers_supplier_id_foreign` FOREIGN KEY (`supplier_id`) REFERENCES `suppliers` (`id`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `supplier_offers` WRITE;
/*!40000 ALTER TABLE `supplier_offers` DISABLE KEYS */;
INSERT INTO `supplier_offers` VALUES ('so1',1,'{\"id\":\"so1\",\"version\":1}','s1','A-2');
/*!40000 ALTER TABLE `supplier_offers` ENABLE KEYS */;
UNLOCK TABLES;
DROP TABLE IF EXISTS `suppliers`;
/*!40101 SET @saved_cs_client     = @@character_set_client */;
/*!40101 SET character_set_client = utf8mb4 */;
CREATE TABLE `suppliers` (
  `id` varchar(100) NOT NULL,
  `version` int(10) unsigned NOT NULL,
  `data` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`data`)),
  `name` varchar(80) NOT NULL,
  PRIMARY KEY (`id`),
  UNIQUE KEY `suppliers_name_unique` (`name`)
) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_general_ci;
/*!40101 SET character_set_client = @saved_cs_client */;

LOCK TABLES `suppliers` WRITE;
/*!40000 ALTER TABLE `suppliers` DISABLE KEYS */;
INSERT INTO `suppliers` VALUES ('s1',1,'{\"id\":\"s1\",\"name\":\"Old supplier\",\"version\":1}','Old supplier');
/*!40000 ALTER TABLE `suppliers` ENABLE KEYS */;
UNLOCK TABLES;

/*!40101 SET SQL_MODE=@OLD_SQL_MODE */;
/*!40014 SET FOREIGN_KEY_CHECKS=@OLD_FOREIGN_KEY_CHECKS */;
/*!40014 SET UNIQUE_CHECKS=@OLD_UNIQUE_CHECKS */;
/*!40111 SET SQL_NOTES=@OLD_SQL_NOTES */;

